<?php

declare(strict_types=1);

namespace Chartula\Core\Bench;

use Chartula\Core\Kit\Compare\PartChange;
use Chartula\Core\Kit\Compare\PartRecord;

/** What has been printed, cut, papered and fixed of a kit, and what of it no longer agrees with the kit. */
final readonly class MadePieces
{
    /** @param  list<MadePiece>  $pieces  in the kit's order, then what the kit no longer has */
    private function __construct(public array $pieces)
    {
    }

    /**
     * @param  array<string, PartRecord>  $kit  by id
     * @param  list<array{part: string, copy: int, state: value-of<MadePiece::STATES>, record: PartRecord,
     *     then?: ?array{string, string}, kept?: ?array{string, string}}>  $made  then: the cut and the print that the program as it is
     *     now makes of the document that it was made from; kept: those that it is kept in place of. Empty where the kit has no such part
     */
    public static function of(array $kit, array $made): self
    {
        $known = [];
        foreach ($made as $piece) {
            $known[$piece['part'].'#'.$piece['copy']] = $piece;
        }
        $pieces = [];
        foreach ($kit as $id => $record) {
            for ($copy = 0; $copy < $record->qty; $copy++) {
                $piece = $known["$id#$copy"] ?? null;
                unset($known["$id#$copy"]);
                $pieces[] = $piece === null ? new MadePiece($id, $copy, null, null) : self::piece($piece, $record);
            }
        }
        foreach ($known as $piece) {
            $pieces[] = self::piece($piece, null);
        }

        return new self($pieces);
    }

    /**
     * @param  array{part: string, copy: int, state: value-of<MadePiece::STATES>, record: PartRecord, then?: ?array{string, string},
     *     kept?: ?array{string, string}}  $made
     */
    private static function piece(array $made, ?PartRecord $now): MadePiece
    {
        $change = PartChange::between($made['record'], $now);
        $is = [$now->cut ?? '', $now->print ?? ''];
        $then = $made['then'] ?? null;
        $by = match (true) {
            $change->isSame() => null,
            $then === null, $then === [$made['record']->cut, $made['record']->print] => MadePiece::BY_EDIT,
            $then === $is => MadePiece::BY_PROGRAM,
            default => MadePiece::BY_BOTH,
        };

        return new MadePiece($made['part'], $made['copy'], $made['state'], $change, $by, ($made['kept'] ?? null) === $is);
    }

    /** @return list<MadePiece> what was made and is no longer right, and is still wanted */
    public function toMakeAgain(): array
    {
        return array_values(array_filter($this->pieces, static fn (MadePiece $p): bool => $p->isStale() && $p->change?->after !== null));
    }

    /** @return list<MadePiece> */
    public function stale(): array
    {
        return array_values(array_filter($this->pieces, static fn (MadePiece $p): bool => $p->isStale()));
    }

    /** @return array{pieces: int, printed: int, cut: int, papered: int, fixed: int, stale: int} how many are at least so far */
    public function counts(): array
    {
        $reached = array_map(static fn (MadePiece $p): int|false => array_search($p->state, MadePiece::STATES, true), $this->pieces);
        $atLeast = static fn (int $state): int =>
            count(array_filter($reached, static fn (int|false $r): bool => $r !== false && $r >= $state));

        return [
            'pieces' => count($this->pieces), 'printed' => $atLeast(0), 'cut' => $atLeast(1), 'papered' => $atLeast(2),
            'fixed' => $atLeast(3), 'stale' => count($this->stale()),
        ];
    }
}
