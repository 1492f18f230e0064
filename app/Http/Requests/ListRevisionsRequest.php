<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\WholeNumber;
use Illuminate\Foundation\Http\FormRequest;

/** Which revisions to list: those before a number, or the newest. */
final class ListRevisionsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'before' => ['sometimes', WholeNumber::inQuery()],
        ];
    }

    public function before(): ?int
    {
        return $this->has('before') ? $this->integer('before') : null;
    }
}
