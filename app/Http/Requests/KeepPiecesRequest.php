<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Whether pieces are kept as they were made. */
final class KeepPiecesRequest extends FormRequest
{
    use NamesPieces;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return self::pieceRules() + ['kept' => ['required', 'boolean']];
    }

    public function isKept(): bool
    {
        return $this->boolean('kept');
    }
}
