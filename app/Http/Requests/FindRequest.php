<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What is typed into the finder. */
final class FindRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['present', 'string', 'max:200'],
            'scale' => ['sometimes', 'string', 'max:60'],
        ];
    }

    public function text(): string
    {
        return $this->string('text')->value();
    }

    public function scale(): string
    {
        return $this->has('scale') ? $this->string('scale')->value() : '1:76.2';
    }
}
