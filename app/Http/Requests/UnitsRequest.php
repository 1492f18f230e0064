<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** In which units somebody likes sizes. */
final class UnitsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'units' => ['required', 'in:imperial,metric'],
        ];
    }
}
