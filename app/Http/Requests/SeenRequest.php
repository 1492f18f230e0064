<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** How far away an eye, or a lens, is. */
final class SeenRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'distance' => ['required', 'numeric', 'between:20,20000'],
        ];
    }

    /** Millimetres before the model. */
    public function distance(): float
    {
        return $this->float('distance');
    }
}
