<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Recall\Recall;
use UnexpectedValueException;

/** The serialised kit with every copy of every part standing in its place. */
final readonly class Assembly
{
    /**
     * @param  array<string, KitPart>  $parts  by id
     * @param  array<string, Piece>  $pieces  by id and copy
     */
    private function __construct(
        public KitShape $kit,
        public array $parts,
        public array $pieces,
    ) {
    }

    /**
     * The same pieces, with what else the kit says of them.
     *
     * @param  array<string, mixed>  $kit
     */
    public function in(array $kit): self
    {
        return new self(new KitShape($kit), $this->parts, $this->pieces);
    }

    /**
     * @param  array<string, mixed>  $kit
     *
     * @throws UnexpectedValueException where it is no kit
     */
    public static function of(array $kit, Recall $recall = new Recall): self
    {
        $shape = new KitShape($kit);
        $parts = [];
        $pieces = [];
        foreach ($shape->children('parts') as $value) {
            $part = KitPart::recalled($value, $recall);
            $parts[$part->id] = $part;
            foreach (array_keys($part->placements) as $copy) {
                $piece = Piece::of($part, $copy);
                $pieces[$piece->key()] = $piece;
            }
        }

        return new self($shape, $parts, $pieces);
    }

    /** @return list<Piece> those that are card or clear sheet */
    public function solids(): array
    {
        return array_values(array_filter($this->pieces, static fn (Piece $p): bool => ! $p->part->isPaper()));
    }

    /** @return list<Piece> those whose every edge must be accounted for */
    public function structure(): array
    {
        return array_values(array_filter($this->pieces, static fn (Piece $p): bool => $p->part->edgesMustMeet()));
    }
}
