<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Chartula\Core\Packing\Effort;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Sheets that came out of the printer: all, what is stale, or some by their ids. */
final class PrintedRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'client_id' => ['required', 'uuid'],
            'which' => ['required_without:sheets', 'in:all,stale'],
            'sheets' => ['required_without:which', 'array', 'list', 'min:1', 'max:500'],
            'sheets.*' => ['string', 'max:10'],
            'packing' => ['sometimes', Rule::enum(Effort::class)],
        ];
    }

    public function clientId(): string
    {
        return $this->string('client_id')->value();
    }

    /** How the sheets were packed that the person saw; null where it was not said. */
    public function packing(): ?Effort
    {
        return $this->enum('packing', Effort::class);
    }

    /** @return 'all'|'stale'|list<string> */
    public function which(): string|array
    {
        return match ($this->input('which')) {
            'all' => 'all',
            'stale' => 'stale',
            default => array_values(array_filter((array) $this->input('sheets'), is_string(...))),
        };
    }
}
