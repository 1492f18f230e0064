<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Drawing\Mates;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Part;

/** Every wall from outside: its cards, what stands in its openings and how deep, what stands on its inside, which ends run through. */
final readonly class WallPictures
{
    private const OPEN = '#efece3';

    /** What is no wider than this stands upright. */
    private const UPRIGHT_MM = 0.1;

    /** An end of a wall begins at this share of half its width. */
    private const END = 0.8;

    private function __construct(private Kit $kit, private Walls $walls, private Things $things, private Mates $mates)
    {
    }

    /** @return list<Picture> */
    public static function of(Kit $kit, Walls $walls, Things $things, Mates $mates): array
    {
        $self = new self($kit, $walls, $things, $mates);

        return array_values(array_map($self->picture(...), array_filter(array_keys($walls->cards), $walls->isWall(...))));
    }

    private function picture(string $key): Picture
    {
        $cards = $this->walls->cards[$key];
        $part = $cards[0]->part;
        $frame = $part->placements[0];
        $name = trim((string) preg_replace('/, [^,]*$/', '', $part->name));
        $filled = $this->filled($cards[0]);
        $picture = new Picture("$name: {$this->walls->label($key)}", [...$this->ends($cards), ...self::depths($filled, $frame)]);
        $picture->ring($part->outline->ring->points);
        foreach ($part->holes as $hole) {
            $picture->ring($hole->points, self::OPEN);
        }
        self::named($picture, $filled, $frame);
        $this->before($picture, $part, $frame);
        $inner = $cards[count($cards) - 1];
        $stands = [];
        foreach ($this->mates->on($inner->part->id, 0, 'inside') as [$label, $from, $to]) {
            [$a, $b] = [$frame->project($from), $frame->project($to)];
            $picture->dotted([$a, $b]);
            $middle = $a->plus($b)->times(0.5);
            $stands[sprintf('%.0f %.0f', $middle->x, $middle->y)][] = [$label, $middle, abs($a->x - $b->x) < self::UPRIGHT_MM];
        }
        foreach ($stands as $together) {
            [, $at, $isUpright] = $together[0];
            // What the ends meet is said in words.
            if (! $isUpright || abs($at->x - $part->width() / 2.0) < self::END * $part->width() / 2.0) {
                $off = $isUpright ? new Vec2(1.0, 0.0) : new Vec2(0.0, -1.0);
                $picture->name($at, implode(' ', array_unique(array_column($together, 0))), $off);
            }
        }

        return $picture;
    }

    /** What stands before the wall and is made by itself: its outline, and its labels. */
    private function before(Picture $picture, Part $card, Frame $frame): void
    {
        foreach ($this->kit->form->walls() as $wall) {
            $block = $this->kit->form->blocks[$wall->block]->block;
            foreach ($block->id === $card->of->block && $wall->wall->name === $card->of->edge ? $wall->claims : [] as $claim) {
                $on = static fn (Vec2 $p): Vec2 => $frame->project($wall->frame->at($p));
                if ($claim->isOwn) {
                    $picture->ring(array_map($on, ($claim->shown ?? $claim->ring)->points), self::OPEN);
                }
                if ($claim->isOwn && $claim->shown !== null) {
                    $picture->name($on($claim->ring->bounds()->centre()), $this->things->label("$block->id.{$claim->feature->id}"));
                }
            }
        }
    }

    /**
     * What stands in openings by its labels, and what is raised drawn, too.
     *
     * @param  list<array{non-empty-list<LabelledPart>, Frame}>  $filled
     */
    private static function named(Picture $picture, array $filled, Frame $frame): void
    {
        foreach ($filled as [$piece, $own]) {
            $isRaised = $frame->height($own->origin) > 0.0;
            if ($isRaised) {
                // What is raised is seen; what stands in an opening shows by that.
                $on = static fn (Vec2 $p): Vec2 => $frame->project($own->at($p));
                $picture->ring(array_map($on, $piece[0]->part->outline->ring->points), self::OPEN);
            }
            $middle = $frame->project($own->at($piece[0]->part->outline->ring->bounds()->centre()));
            $labels = implode(' ', array_map(static fn (LabelledPart $p): string => $p->label, $piece));
            $picture->name($middle, $labels, new Vec2(0.0, $isRaised ? -1.0 : 0.0));
        }
    }

    /**
     * What stands in the openings of a wall, those of one opening together, and where the first of them stands.
     *
     * @return list<array{non-empty-list<LabelledPart>, Frame}>
     */
    private function filled(LabelledPart $card): array
    {
        $all = [];
        $of = $card->part->of;
        foreach ($this->walls->fillings as $key => $pieces) {
            if (! str_starts_with($key, "$of->block.$of->edge.")) {
                continue;
            }
            foreach ($pieces as $piece) {
                foreach ($piece->part->placements as $frame) {
                    $middle = $frame->at($piece->part->outline->ring->bounds()->centre());
                    $place = sprintf('%.0f %.0f', $card->part->placements[0]->project($middle)->x, $middle->z);
                    $all[$place][0][] = $piece;
                    $all[$place][1] ??= $frame;
                }
            }
        }

        return array_values($all);
    }

    /**
     * How far what stands in the openings lies behind the wall's outside, and what is raised before it.
     *
     * @param  list<array{non-empty-list<LabelledPart>, Frame}>  $filled
     * @return list<string>
     */
    private static function depths(array $filled, Frame $wall): array
    {
        $depths = [];
        foreach (array_merge(...array_column($filled, 0), ...[[]]) as $piece) {
            $depth = -$wall->height($piece->part->placements[0]->origin);
            $side = $depth < 0.0 ? 'Before the outside' : 'Behind the outside';
            $depths[$side][LengthFormat::millimetres(abs($depth), 2)][$piece->label] = true;
        }
        $lines = [];
        foreach ($depths as $side => $all) {
            $words = array_map(
                static fn (string $depth, array $labels): string => implode(' ', array_keys($labels))." $depth",
                array_keys($all),
                $all,
            );
            $lines[] = "$side: ".implode(', ', $words);
        }

        return $lines;
    }

    /**
     * Which of its ends run through and which stop, by the wall's innermost card.
     *
     * @param  non-empty-list<LabelledPart>  $cards
     * @return list<string>
     */
    private function ends(array $cards): array
    {
        $labels = [];
        foreach ($this->kit->parts as $part) {
            $labels[$part->part->id] = $part->label;
        }
        $own = $cards[count($cards) - 1]->part;
        $said = [];
        foreach ($this->kit->joints as $joint) {
            [$words, $other, $x] = $this->end($joint, $own->id, $own->placements[0], $own->width() / 2.0) ?? ['', '', null];
            if ($x !== null) {
                $said[$x < $own->width() / 2.0 ? 'Left end' : 'Right end'][$words][$labels[$other]] = true;
            }
        }
        ksort($said);
        $lines = [];
        foreach ($said as $end => $ways) {
            $lines[] = "$end: ".implode('; ', array_map(
                static fn (string $way, array $others): string => "$way ".implode(' ', array_keys($others)),
                array_keys($ways),
                $ways,
            ));
        }

        return $lines;
    }

    /** @return ?array{string, string, float} what an end does, which part it does it to, and how far along the wall */
    private function end(Joint $joint, string $own, Frame $frame, float $half): ?array
    {
        $isUpright = count($joint->contact) === 2
            && abs($joint->contact[0]->x - $joint->contact[1]->x) + abs($joint->contact[0]->y - $joint->contact[1]->y) < self::UPRIGHT_MM;
        if (! $isUpright || ($joint->a->part !== $own && $joint->b->part !== $own)) {
            return null;
        }
        $x = $frame->project($joint->contact[0])->x;
        $other = $joint->a->part === $own ? $joint->b->part : $joint->a->part;
        $isEnd = abs($x - $half) > self::END * $half;

        return match (true) {
            ! $isEnd => null,
            $joint->kind === JointKind::Mitre => ['mitred with', $other, $x],
            $joint->kind === JointKind::Butt && $joint->a->part === $own => ['stops against', $other, $x],
            $joint->kind === JointKind::Butt => ['runs through past', $other, $x],
            default => null,
        };
    }
}
