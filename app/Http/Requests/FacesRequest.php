<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Of which parts the faces are wanted. */
final class FacesRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['of' => ['sometimes', 'string', 'max:4000', 'regex:/^[a-z0-9.,-]+$/D'], 'r' => ['sometimes', 'integer']];
    }

    /** @return ?array<string, int> by their ids; null for all */
    public function of(): ?array
    {
        $of = $this->validated('of');

        return is_string($of) ? array_flip(explode(',', $of)) : null;
    }
}
