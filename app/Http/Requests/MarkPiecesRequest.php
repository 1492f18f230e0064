<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Chartula\Core\Bench\MadePiece;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** How far pieces are made; null takes their marks away. */
final class MarkPiecesRequest extends FormRequest
{
    use NamesPieces;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return self::pieceRules() + ['state' => ['present', 'nullable', Rule::in(MadePiece::STATES)]];
    }

    /** @return ?value-of<MadePiece::STATES> */
    public function state(): ?string
    {
        $at = array_search($this->input('state'), MadePiece::STATES, true);

        return $at === false ? null : MadePiece::STATES[$at];
    }
}
