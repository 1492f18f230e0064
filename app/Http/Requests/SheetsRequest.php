<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Chartula\Core\Kit\Kit;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Sheets\Wanted;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Which sheets are asked for: as they were packed when the person saw them, and of what of the building. */
final class SheetsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'packing' => ['sometimes', Rule::enum(Effort::class)],
            'only' => ['sometimes', Rule::in(['stale', 'trial'])],
            'of' => ['sometimes', 'string', 'max:200', 'regex:/^[a-z0-9-]+(\\.[a-z0-9-]+)?$/'],
        ];
    }

    /** Null where the person did not say: as well as is known. */
    public function packing(): ?Effort
    {
        return $this->enum('packing', Effort::class);
    }

    public function isStaleOnly(): bool
    {
        return $this->query('only') === 'stale';
    }

    /** One block (`main`) or wall (`main.front`) alone; null for all. */
    public function of(): ?string
    {
        $of = $this->query('of');

        return is_string($of) ? $of : null;
    }

    /** @return non-empty-string what its answer depends on */
    public function key(): string
    {
        return json_encode([$this->packing()?->value, $this->query('only'), $this->of()], JSON_THROW_ON_ERROR);
    }

    /** @param  ?Wanted  $stale  the pieces that are, where they are wanted alone */
    public function wanted(Kit $kit, ?Wanted $stale): ?Wanted
    {
        $of = $this->of();

        return match (true) {
            $stale !== null => $stale,
            $this->query('only') === 'trial' => (new Wanted)->trial($kit),
            $of !== null => (new Wanted)->of($kit, [$of]),
            default => null,
        };
    }
}
