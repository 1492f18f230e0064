<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Chartula\Core\Bench\MadePiece;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** How far pieces are made; null takes their marks away. */
final class MarkPiecesRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'pieces' => ['required', 'array', 'list', 'min:1', 'max:5000'],
            'pieces.*.part' => ['required', 'string', 'max:200'],
            'pieces.*.copy' => ['required', 'integer', 'min:0', 'max:5000'],
            'state' => ['present', 'nullable', Rule::in(MadePiece::STATES)],
        ];
    }

    /** @return list<array{part: string, copy: int}> */
    public function pieces(): array
    {
        $pieces = [];
        foreach ((array) $this->input('pieces') as $i => $piece) {
            $pieces[] = ['part' => $this->string("pieces.$i.part")->value(), 'copy' => $this->integer("pieces.$i.copy")];
        }

        return $pieces;
    }

    /** @return ?value-of<MadePiece::STATES> */
    public function state(): ?string
    {
        $at = array_search($this->input('state'), MadePiece::STATES, true);

        return $at === false ? null : MadePiece::STATES[$at];
    }
}
