<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Recall\Recall;
use UnexpectedValueException;

/** The serialised kit with every copy of every part standing in its place. */
final readonly class Assembly
{
    /** @var list<array{KitShape, Side, Side}> every joint, with its two sides */
    public array $joints;

    /**
     * @param  KitShape  $kit  what it says besides its parts, or all of it
     * @param  array<string, KitPart>  $parts  by id
     * @param  array<string, Piece>  $pieces  by id and copy
     */
    private function __construct(
        public KitShape $kit,
        public array $parts,
        public array $pieces,
    ) {
        $this->joints = array_map(
            static fn (KitShape $joint): array => [$joint, Side::read($joint->child('a')), Side::read($joint->child('b'))],
            $kit->children('joints'),
        );
    }

    /**
     * @param  array<string, mixed>  $kit
     *
     * @throws UnexpectedValueException where it is no kit
     */
    public static function of(array $kit, Recall $recall = new Recall): self
    {
        $shape = new KitShape($kit);
        $parts = array_map(static fn (KitShape $part): KitPart => KitPart::recalled($part, $recall), $shape->children('parts'));

        return self::standing($shape, $parts, $recall);
    }

    /**
     * Of parts as they were written down, each by itself.
     *
     * @param  list<string>  $parts
     * @param  array<string, mixed>  $kit  the rest of it
     */
    public static function written(array $parts, array $kit, Recall $recall): self
    {
        return self::standing(
            new KitShape($kit),
            array_map(static fn (string $text): KitPart => KitPart::written($text, $recall), $parts),
            $recall,
        );
    }

    /** @param  list<KitPart>  $all */
    private static function standing(KitShape $kit, array $all, Recall $recall): self
    {
        $parts = [];
        $pieces = [];
        foreach ($all as $part) {
            $parts[$part->id] = $part;
            foreach (array_keys($part->placements) as $copy) {
                $piece = Piece::of($part, $copy, $recall);
                $pieces[$piece->key()] = $piece;
            }
        }

        return new self($kit, $parts, $pieces);
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
