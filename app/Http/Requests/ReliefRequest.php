<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** How deep a building is to be in low relief. */
final class ReliefRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'depth' => ['required', 'string', 'max:60'],
        ];
    }

    public function depth(): string
    {
        return $this->string('depth')->value();
    }
}
