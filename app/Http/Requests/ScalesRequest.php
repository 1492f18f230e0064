<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** One more scale to compare. */
final class ScalesRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'also' => ['sometimes', 'numeric', 'between:1,1000'],
        ];
    }

    /** @return list<float> ratios */
    public function also(): array
    {
        return $this->has('also') ? [$this->float('also')] : [];
    }
}
