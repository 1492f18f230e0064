<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** In which paper and in which colours a covering is to be shown. */
final class CoveringRequest extends FormRequest
{
    private const ID = 'regex:/^[a-z0-9-]{1,32}$/D';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'paper' => ['sometimes', 'string', self::ID],
            'palette' => ['sometimes', 'string', self::ID],
        ];
    }

    public function paper(): ?string
    {
        return $this->has('paper') ? $this->string('paper')->value() : null;
    }

    public function palette(): ?string
    {
        return $this->has('palette') ? $this->string('palette')->value() : null;
    }
}
