<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\WholeNumber;

/** A request about pieces of a kit: which part, and which copy of it. */
trait NamesPieces
{
    /** @return array<string, list<mixed>> */
    private static function pieceRules(): array
    {
        return [
            'pieces' => ['required', 'array', 'list', 'min:1', 'max:5000'],
            'pieces.*.part' => ['required', 'string', 'max:200'],
            'pieces.*.copy' => ['required', WholeNumber::inBody(0, 5000)],
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
}
