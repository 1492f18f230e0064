<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\SheetFurniture;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Sheets\Page;

/** The building from two sides with the labels of its parts, and taken apart. */
final readonly class BuildingPictures
{
    /** How far things come off where it is taken apart, as a share of the building's size: walls, what is within, roofs, the floor. */
    private const OUT = 0.22;

    private const LAYER = 0.10;

    private const UP = 0.45;

    private const DOWN = 0.30;

    private const BLOCKS = 0.55;

    private const FRONT_DEG = -60.0;

    private const BACK_DEG = 120.0;

    /** Over a picture. */
    private const TITLE_MM = 6.0;

    private function __construct(private Kit $kit, private Walls $walls)
    {
    }

    public static function draw(Drawing $drawing, Kit $kit, Page $page): null
    {
        $self = new self($kit, Walls::of($kit));
        $room = $page->room();
        $up = static fn (float $share): float => $room->y0 + $share * $room->height();
        $box = static fn (float $from, float $to): Box2 => new Box2($room->x0, $up($from), $room->x1, $up($to) - self::TITLE_MM);
        $pictures = [
            ['From the front and the right', self::FRONT_DEG, $self->whole(self::FRONT_DEG), $box(0.76, 1.0)],
            ['From the back and the left', self::BACK_DEG, $self->whole(self::BACK_DEG), $box(0.51, 0.75)],
            ['Taken apart', self::FRONT_DEG, $self->apart(), $box(0.0, 0.5)],
        ];
        $less = Things::of($kit)->parts === [] ? '' : ', without what stands by itself (see its own pictures)';
        foreach ($pictures as [$words, $azimuth, $leaves, $box]) {
            $words .= $less;
            $drawing->text(new Text(new Vec2($box->x0, $box->y1 + 1.5), $words, 2.6, bold: true, colour: SheetFurniture::INK));
            Axonometry::of($leaves, $azimuth)->draw($drawing, $box);
        }

        return null;
    }

    /** @return list<Leaf> the outermost card of every wall and slope that faces the way it is looked from */
    private function whole(float $azimuth): array
    {
        $to = Axonometry::towards($azimuth);
        $leaves = [];
        foreach ($this->walls->cards as $key => $cards) {
            $part = $cards[0]->part;
            $normal = $part->placements[0]->normal;
            if ($normal->dot($to) < 0.01 || (abs($normal->z) < 0.01 && $part->group === PartGroup::Roof)) {
                continue;
            }
            $leaves[] = Leaf::of($part, $part->placements[0], $this->walls->label($key));
        }

        return $leaves;
    }

    /** @return list<Leaf> every card and brace by itself */
    private function apart(): array
    {
        $boxes = $this->blocks();
        $all = array_merge(...array_values(array_map(static fn (array $b): array => $b, $boxes)), ...[[]]);
        [$centre, $size] = self::around($all);
        $leaves = [];
        foreach ($this->kit->parts as $labelled) {
            $part = $labelled->part;
            if ($part->group === PartGroup::Trim || $part->group === PartGroup::Skin || ! $part->shape->isFlat()) {
                continue;
            }
            [$own] = self::around($boxes[$part->of->block ?? ''] ?? $all);
            $block = $own->minus($centre)->times(self::BLOCKS);
            foreach ($part->placements as $frame) {
                $leaves[] = Leaf::of($part, $frame, $labelled->label, $block->plus($this->away($labelled, $frame)->times($size)));
            }
        }

        return $leaves;
    }

    /** Which way a part comes off, in shares of the building's size. */
    private function away(LabelledPart $labelled, Frame $frame): Vec3
    {
        $part = $labelled->part;
        $isLevel = abs($frame->normal->z) > 0.99;
        if ($part->group === PartGroup::Shell && ! $isLevel) {
            $cards = $this->walls->around($labelled);
            $inwards = (int) array_search($labelled, $cards, true);

            return $frame->normal->times(self::OUT + self::LAYER * (count($cards) - 1 - $inwards));
        }

        return new Vec3(0.0, 0.0, match (true) {
            $part->group === PartGroup::Shell => -self::DOWN,
            $part->group === PartGroup::Brace => 0.0,
            $frame->normal->z > 0.01 => self::UP + self::LAYER,
            default => self::UP / 2.0,
        });
    }

    /** @return array<string, list<Vec3>> corners of the cards of each block */
    private function blocks(): array
    {
        $points = [];
        foreach ($this->kit->parts as $labelled) {
            $part = $labelled->part;
            if ($part->group === PartGroup::Shell) {
                foreach ($part->outline->ring->points as $p) {
                    $points[$part->of->block ?? ''][] = $part->placements[0]->at($p);
                }
            }
        }

        return $points;
    }

    /**
     * @param  list<Vec3>  $points
     * @return array{Vec3, float} the middle of the box round them, and its longest side
     */
    private static function around(array $points): array
    {
        $sides = [array_column($points, 'x'), array_column($points, 'y'), array_column($points, 'z')];
        $low = array_map(static fn (array $side): float => $side === [] ? 0.0 : min($side), $sides);
        $high = array_map(static fn (array $side): float => $side === [] ? 0.0 : max($side), $sides);

        return [
            new Vec3(($low[0] + $high[0]) / 2.0, ($low[1] + $high[1]) / 2.0, ($low[2] + $high[2]) / 2.0),
            max($high[0] - $low[0], $high[1] - $low[1], $high[2] - $low[2]),
        ];
    }
}
