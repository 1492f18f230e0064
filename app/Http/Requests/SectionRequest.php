<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Where to cut a kit through. */
final class SectionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'across' => ['required', 'in:x,y'],
            'at' => ['required', 'numeric', 'between:-100000,100000'],
        ];
    }

    /** Whether it is looked at from the right, and not from the front. */
    public function isFromTheRight(): bool
    {
        return $this->input('across') === 'x';
    }

    /** Model millimetres along the building's axis. */
    public function at(): float
    {
        return $this->float('at');
    }
}
