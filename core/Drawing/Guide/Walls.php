<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\PartGroup;

/** The parts of a kit by the wall or slope that they belong to, the outermost card first. */
final readonly class Walls
{
    /**
     * @param  array<string, non-empty-list<LabelledPart>>  $cards  of a wall or slope, by its surface
     * @param  array<string, list<LabelledPart>>  $papers  by the same
     * @param  array<string, list<LabelledPart>>  $fillings  what stands in an opening, or on the wall, by block, edge and
     *     opening or thing
     */
    private function __construct(public array $cards, public array $papers, public array $fillings)
    {
    }

    public static function of(Kit $kit): self
    {
        $cards = $papers = $fillings = [];
        foreach ($kit->parts as $part) {
            $of = $part->part->of;
            $key = $of->surface();
            $in = $of->opening ?? ($of->edge === null ? null : $of->feature);
            if ($in !== null) {
                $fillings["$of->block.$of->edge.$in"][] = $part;
            } elseif ($part->part->group === PartGroup::Skin) {
                $papers[$key][] = $part;
            } elseif ($of->edge !== null && $part->part->shape->isFlat() && $part->part->group !== PartGroup::Trim) {
                $cards[$key][] = $part;
            }
        }
        foreach ($cards as $key => $all) {
            $frame = $all[0]->part->placements[0];
            usort($all, static fn (LabelledPart $a, LabelledPart $b): int => self::out($b, $frame) <=> self::out($a, $frame));
            $cards[$key] = $all;
        }

        return new self($cards, $papers, $fillings);
    }

    private static function out(LabelledPart $part, Frame $frame): float
    {
        return round($frame->height($part->part->placements[0]->origin), 4);
    }

    /** @return non-empty-list<LabelledPart> all cards of the wall that one belongs to, the outermost first */
    public function around(LabelledPart $card): array
    {
        return $this->cards[$card->part->of->surface()] ?? [$card];
    }

    /** Every label of a wall, from the outside in. */
    public function label(string $key): string
    {
        $all = [...$this->papers[$key] ?? [], ...$this->cards[$key]];

        return implode(' ', array_map(static fn (LabelledPart $p): string => $p->label, $all));
    }

    public function isWall(string $key): bool
    {
        return abs($this->cards[$key][0]->part->placements[0]->normal->z) < 0.01 && $this->cards[$key][0]->part->group === PartGroup::Shell;
    }
}
