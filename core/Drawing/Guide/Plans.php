<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Drawing\SectionView;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\PartGroup;

/** The building cut through level at each height, cut through upright once, and its roofs from above. */
final readonly class Plans
{
    private const CARD = '#d9d4c7';

    /** A plan cuts a block between these shares of its walls' height. */
    private const LOW = 0.1;

    private const HIGH = 0.9;

    private const AT = 0.45;

    /** Names of boards stand so far along them, off their middle, where others cross. */
    private const ALONG = 0.3;

    private function __construct(private Kit $kit, private Walls $walls, private Things $things)
    {
    }

    /** @return list<Picture> */
    public static function of(Kit $kit, Walls $walls, Things $things): array
    {
        $self = new self($kit, $walls, $things);

        return [...array_map($self->plan(...), $self->heights()), $self->section(), $self->roofs()];
    }

    /** @return list<float> so that every block is cut once */
    private function heights(): array
    {
        $heights = [];
        $blocks = $this->kit->form->blocks;
        usort($blocks, static fn (BlockForm $a, BlockForm $b): int => $a->base <=> $b->base);
        foreach ($blocks as $block) {
            $tall = $block->eaves - $block->base;
            foreach ($heights as $known) {
                if ($known > $block->base + self::LOW * $tall && $known < $block->base + self::HIGH * $tall) {
                    continue 2;
                }
            }
            $heights[] = $block->base + self::AT * $tall;
        }

        return $heights;
    }

    private function plan(float $height): Picture
    {
        $plane = new Frame(new Vec3(0.0, 0.0, $height), new Vec3(1.0, 0.0, 0.0), new Vec3(0.0, 1.0, 0.0));
        $level = array_filter($this->kit->parts, static fn (LabelledPart $p): bool => self::isBelow($p, $height));
        $tops = [];
        foreach ($level as $labelled) {
            $tops[sprintf('%.2f', $labelled->part->placements[0]->origin->z)][] = $labelled->label;
        }
        ksort($tops);
        $words = array_map(
            static fn (string $z, array $labels): string => implode(' ', $labels).': upper side '.$z.' mm up',
            array_map(strval(...), array_keys($tops)),
            $tops,
        );
        $picture = new Picture(sprintf('Plan, cut %.0f mm up; floors and braces dotted', $height), $words);
        foreach ($level as $labelled) {
            foreach ($labelled->part->placements as $frame) {
                $ring = self::inPlan($labelled->part->outline->ring->points, $frame);
                $picture->dotted($ring, true);
                $picture->name((new Ring($ring))->middle(), $labelled->label);
            }
        }
        $this->cut($picture, $plane, [PartGroup::Shell]);

        return $picture;
    }

    /** Whether a floor lies below a height, or braces over it. */
    private static function isBelow(LabelledPart $labelled, float $height): bool
    {
        $frame = $labelled->part->placements[0];

        return abs($frame->normal->z) > 0.99 && match ($labelled->part->group) {
            PartGroup::Shell => $frame->origin->z < $height,
            PartGroup::Brace => $frame->origin->z > $height,
            default => false,
        };
    }

    private function section(): Picture
    {
        $picture = new Picture("Section through {$this->kit->form->blocks[0]->block->name}");
        $this->cut($picture, SectionView::firstPlane($this->kit), [
            PartGroup::Shell, PartGroup::Brace, PartGroup::Roof,
        ]);

        return $picture;
    }

    /**
     * What a plane cuts of cards, each wall or slope named once beside it.
     *
     * @param  list<PartGroup>  $groups
     */
    private function cut(Picture $picture, Frame $plane, array $groups): void
    {
        $named = [];
        foreach (SectionView::at($this->kit, $plane) as [$labelled, $copy, $ring]) {
            $part = $labelled->part;
            if (! in_array($part->group, $groups, true)) {
                continue;
            }
            $picture->ring($ring->points, self::CARD);
            $normal = $part->placements[$copy]->normal;
            $off = new Vec2($normal->dot($plane->x), $normal->dot($plane->y));
            $cards = $this->walls->around($labelled);
            $length = $ring->perimeter();
            $key = implode(' ', array_map(static fn (LabelledPart $p): string => $p->label, $cards));
            // The longest piece of its outermost card, on the outside.
            if ($cards[0] === $labelled && $length > ($named[$key][0] ?? 0.0)) {
                $named[$key] = [$length, $ring->middle(), $off];
            }
        }
        foreach ($named as $name => [, $at, $off]) {
            $picture->name($at, $name, $off);
        }
    }

    private function roofs(): Picture
    {
        $picture = new Picture('Roofs from above; arrows run down; formers and boards dotted', [
            'The front is below, the right side to the right. Strips are named on the lines that they cover.',
        ]);
        foreach ($this->kit->parts as $labelled) {
            $part = $labelled->part;
            $isBoard = $part->group === PartGroup::Brace && abs($part->placements[0]->normal->z) < 0.99;
            if ($isBoard || ($part->group === PartGroup::Roof && $labelled === $this->walls->around($labelled)[0])) {
                foreach ($part->placements as $frame) {
                    $this->roof($picture, $labelled, $frame);
                }
            }
        }
        foreach ($this->standing() as $key => $ring) {
            $picture->ring($ring->points, self::CARD);
            $picture->name(new Vec2($ring->middle()->x, $ring->bounds()->y1), $this->things->label($key), new Vec2(0.0, 1.0));
        }

        return $picture;
    }

    /** @return array<string, Ring> what stands on roofs or goes through them, in plan, by block and thing */
    private function standing(): array
    {
        $rings = [];
        foreach ($this->kit->form->facets as $facet) {
            foreach ($facet->standing as $standing) {
                foreach ($this->kit->form->blocks as $block) {
                    $key = $block->block->id.'.'.($standing->feature->id ?? '');
                    $isOwn = in_array($standing->feature, $block->block->features, true) && isset($this->things->parts[$key]);
                    $rings += $isOwn ? [$key => $standing->ring] : [];
                }
            }
        }

        return $rings;
    }

    private function roof(Picture $picture, LabelledPart $labelled, Frame $frame): void
    {
        $part = $labelled->part;
        if (! $part->shape->isFlat()) {
            $this->strip($picture, $labelled, $frame);

            return;
        }
        $ring = self::inPlan($part->outline->ring->points, $frame);
        if (abs($frame->normal->z) < 0.01) {
            $ends = self::ends($ring);
            $picture->dotted($ends);
            $picture->name($ends[0]->plus($ends[1]->minus($ends[0])->times(self::ALONG)), $labelled->label);

            return;
        }
        $picture->ring($ring);
        $middle = (new Ring($ring))->middle();
        $down = new Vec2($frame->normal->x, $frame->normal->y);
        $cards = $this->walls->around($labelled);
        $picture->name($middle, implode(' ', array_map(static fn (LabelledPart $p): string => $p->label, $cards)));
        if ($down->length() > 0.01) {
            $way = $down->times(1.0 / $down->length());
            $picture->arrow($middle->plus($way->times(5.0)), $middle->plus($way->times(13.0)));
        }
    }

    /** The name of a strip on the line that it covers. */
    private function strip(Picture $picture, LabelledPart $labelled, Frame $frame): void
    {
        foreach (array_slice($labelled->part->scores, 0, 1) as $score) {
            $line = self::inPlan([$score->from, $score->to], $frame);
            $picture->name($line[0]->plus($line[1])->times(0.5), $labelled->label);
        }
    }

    /**
     * @param  non-empty-list<Vec2>  $points
     * @return non-empty-list<Vec2>
     */
    private static function inPlan(array $points, Frame $frame): array
    {
        return array_map(static function (Vec2 $p) use ($frame): Vec2 {
            $at = $frame->at($p);

            return new Vec2($at->x, $at->y);
        }, $points);
    }

    /**
     * @param  non-empty-list<Vec2>  $points
     * @return array{Vec2, Vec2} those farthest apart of what stands upright
     */
    private static function ends(array $points): array
    {
        $ends = [$points[0], $points[0]];
        foreach ($points as $p) {
            foreach ($points as $q) {
                if ($p->distanceTo($q) > $ends[0]->distanceTo($ends[1])) {
                    $ends = [$p, $q];
                }
            }
        }

        return $ends;
    }
}
