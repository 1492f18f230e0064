<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Roof;
use Chartula\Core\Building\Wall;
use Chartula\Core\Drawing\Guide\Leaf;
use Chartula\Core\Drawing\Guide\Painter;
use Chartula\Core\Fillings\PaneHoles;
use Chartula\Core\Fillings\Stance;
use Chartula\Core\Form\Claims\Seen;
use Chartula\Core\Form\Claims\Shows;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Size;
use Chartula\Core\Skin\Coverings;

/**
 * A whole side of the building with all its blocks in their places: walls, openings, roofs and chimneys as they are seen from far off, the
 * nearer over the farther, and chains of dimensions through. Model millimetres, from left to right as it is looked at, heights above the
 * datum.
 *
 * @phpstan-type Link array{from: float, to: float, opening: null, size: array<string, string|float>, bricks: string}
 * @phpstan-type Shape array{kind: string, region: Region, wall: ?string, opening: ?string, finish: string, colour: ?string}
 */
final readonly class WholeView
{
    /** Where each side is looked at from: to whom it faces, in the building's axes. */
    public const SIDES = ['front' => [0.0, -1.0], 'right' => [1.0, 0.0], 'back' => [0.0, 1.0], 'left' => [-1.0, 0.0]];

    /** Of a wall that turns farther away nothing is seen but its edge. */
    private const FACES = 0.05;

    /** Blocks whose base lies higher stand on a roof: 6 ft, real. */
    private const HIGH_MM = 1828.8;

    /** Places nearer to each other than this are one, mm. */
    private const NEAR_MM = 0.1;

    private Vec3 $to;

    private Vec3 $along;

    private PaneHoles $panes;

    /** @param  key-of<self::SIDES>  $side */
    public function __construct(private Building $building, private Form $form, string $side)
    {
        [$x, $y] = self::SIDES[$side];
        $this->to = new Vec3($x, $y, 0.0);
        $this->along = new Vec3(-$y, $x, 0.0);
        $this->panes = new PaneHoles($building);
    }

    /** @return list<Shape> the farthest first */
    public function shapes(): array
    {
        [$leaves, $shown] = $this->surfaces();
        $shapes = [];
        foreach (Painter::inOrder($leaves, $this->to, $this->flat(...)) as [$region, $i]) {
            if ($shown[$i] instanceof Seen) {
                $shapes[] = ['kind' => 'wall', 'region' => $region, 'wall' => null, 'opening' => null] + $this->covered($shown[$i]);

                continue;
            }
            if ($shown[$i] instanceof Facet) {
                $roof = $this->form->blocks[$shown[$i]->block]->block->roof;
                $shapes[] = ['kind' => 'roof', 'region' => $region, 'wall' => null, 'opening' => null] + $this->covered($roof);

                continue;
            }
            [$wall, $patch] = $shown[$i];
            $key = $this->key($wall);
            $shapes[] = ['kind' => 'wall', 'region' => $region, 'wall' => $key, 'opening' => null] + $this->covered($wall->wall);
            array_push($shapes, ...$this->openings($wall, $patch, $key));
        }

        return $shapes;
    }

    /** @return array{finish: string, colour: ?string} what is seen of it from afar */
    private function covered(Roof|Seen|Wall $of): array
    {
        [$paper, $palette] = $of instanceof Seen ? [null, null] : [$of->paper, $of->palette];

        return ['finish' => $of->finish->value, 'colour' => Coverings::tone($of->finish, $this->building, $paper, $palette)];
    }

    /**
     * What faces the way it is looked from, and of what it is: a thing, a wall or a slope.
     *
     * @return array{list<Leaf>, list<Seen|array{WallForm, Patch}|Facet>}
     */
    private function surfaces(): array
    {
        $leaves = $shown = [];
        foreach ($this->form->walls() as $wall) {
            if ($wall->isBuilt() && $wall->frame->normal->dot($this->to) > self::FACES) {
                foreach ($wall->patches as $patch) {
                    $points = array_map(static fn (Vec2 $p): Vec3 => $wall->frame->at($p), $patch->outline->points);
                    $leaves[] = new Leaf($points, [], $wall->frame->normal, '');
                    $shown[] = [$wall, $patch];
                }
            }
        }
        foreach ($this->form->facets as $facet) {
            foreach ($facet->frame->normal->dot($this->to) > self::FACES ? $facet->patches : [] as $patch) {
                $lift = static fn (Ring $r): array => array_map($facet->lifted(...), $r->points);
                $leaves[] = new Leaf($lift($patch->outline), array_map($lift, $patch->holes), $facet->frame->normal, '');
                $shown[] = $facet;
            }
        }

        foreach ($this->form->sites as $site) {
            $kind = $site->feature->kind;
            foreach ($kind instanceof Shows ? $kind->seen($site) : [] as $seen) {
                if ($seen->normal->dot($this->to) > self::FACES) {
                    $leaves[] = new Leaf($seen->ring, [], $seen->normal, '');
                    $shown[] = $seen;
                }
            }
        }

        return [$leaves, $shown];
    }

    private function flat(Vec3 $p): Vec2
    {
        return new Vec2($p->dot($this->along), $p->z);
    }

    private function key(WallForm $wall): string
    {
        return $this->form->blocks[$wall->block]->block->id.'.'.$wall->wall->name;
    }

    /** @return list<Shape> */
    private function openings(WallForm $wall, Patch $patch, string $key): array
    {
        $flat = fn (Vec2 $p): Vec2 => $this->flat($wall->frame->at($p));
        $on = static fn (Ring $r): Region => new Region(new Ring(array_map($flat, $r->points)));
        $shapes = [];
        foreach ($wall->openings as $opening) {
            if (! $patch->region()->contains($opening->ring()->bounds()->centre())) {
                continue;
            }
            $one = ['wall' => $key, 'opening' => $opening->id, 'finish' => '', 'colour' => null];
            $style = $opening->opening->style;
            $shapes[] = ['kind' => $style->isShut() ? $style->kind->value : 'open', 'region' => $on($opening->ring())] + $one;
            $away = $style->leaf?->slides === null ? [] : Stance::filled($style->leaf, [$opening], $this->building->scale->ratio);
            foreach ($away as $leaf) {
                $shapes[] = ['kind' => 'door', 'region' => $on($leaf->ring())] + $one;
            }
            foreach (! $style->isShut() ? [] : $this->panes->glass($opening) as $pane) {
                $shapes[] = ['kind' => 'pane', 'region' => $on($pane->moved($opening->left, $opening->sill))] + $one;
            }
        }

        return $shapes;
    }

    /**
     * For the screen.
     *
     * @return array{shapes: list<array<string, mixed>>, chains: list<list<Link>>, heights: list<array<string, mixed>>}
     */
    public function toArray(): array
    {
        $seen = $this->shapes();
        $shapes = array_map(static fn (array $shape): array => [
            'kind' => $shape['kind'], 'wall' => $shape['wall'], 'opening' => $shape['opening'], 'finish' => $shape['finish'],
            'colour' => $shape['colour'],
            'ring' => $shape['region']->outline->toArray(),
            'holes' => array_map(static fn (Ring $r): array => $r->toArray(), $shape['region']->holes),
        ], $seen);
        $top = max([0.0, ...array_map(static fn (array $s): float => $s['region']->outline->bounds()->y1, $seen)]);

        return ['shapes' => $shapes, 'chains' => $this->chains(), 'heights' => $this->heights($top)];
    }

    /**
     * Over it: openings and piers, then the blocks, then the whole, all through.
     *
     * @return list<list<Link>>
     */
    private function chains(): array
    {
        $ends = $jambs = [];
        foreach ($this->form->walls() as $wall) {
            $base = $this->form->blocks[$wall->block]->block->base->mm;
            // What stands on a roof is measured on its own wall.
            if (! $wall->isBuilt() || $base > self::HIGH_MM || $wall->frame->normal->dot($this->to) < 1.0 - self::FACES) {
                continue;
            }
            $at = fn (float $x): float => $this->flat($wall->frame->point($x, 0.0))->x;
            array_push($ends, ...self::extent($wall, $at));
            foreach (self::lowest($wall) as $opening) {
                array_push($jambs, $at($opening->left), $at($opening->right()));
            }
        }
        $chains = [self::marks([...$ends, ...$jambs]), self::marks($ends)];
        $whole = $ends === [] ? [] : [min($ends), max($ends)];
        $chains[] = $whole;
        $links = array_map($this->links(...), array_unique($chains, SORT_REGULAR));

        return array_values(array_filter($links, static fn (array $c): bool => $c !== []));
    }

    /** @return list<OpeningForm> those of a wall's lowest floor; others stand over them, and have their chain on the wall itself */
    private static function lowest(WallForm $wall): array
    {
        $tops = array_map(static fn (OpeningForm $o): array => [$o->sill, $o->top()], $wall->openings);
        sort($tops);
        $most = $tops[0][1] ?? 0.0;

        return array_values(array_filter($wall->openings, static fn (OpeningForm $o): bool => $o->sill < $most));
    }

    /**
     * @param  callable(float): float  $at
     * @return list<float> where what is built of a wall begins and ends
     */
    private static function extent(WallForm $wall, callable $at): array
    {
        $bounds = array_map(static fn (Patch $p): array => [$p->outline->bounds()->x0, $p->outline->bounds()->x1], $wall->patches);

        return $bounds === [] ? [] : [$at(min(array_column($bounds, 0))), $at(max(array_column($bounds, 1)))];
    }

    /**
     * @param  list<float>  $places
     * @return list<float> from left to right, each once
     */
    private static function marks(array $places): array
    {
        sort($places);
        $marks = [];
        foreach ($places as $place) {
            if ($marks === [] || $place - $marks[count($marks) - 1] > self::NEAR_MM) {
                $marks[] = $place;
            }
        }

        return $marks;
    }

    /**
     * @param  list<float>  $marks
     * @return list<Link>
     */
    private function links(array $marks): array
    {
        $links = [];
        foreach (array_slice($marks, 1) as $i => $to) {
            $brick = $this->building->gauge->brick_mm / $this->building->scale->ratio;
            $links[] = [
                'from' => round($marks[$i], 4), 'to' => round($to, 4), 'opening' => null,
                'size' => Size::ofModel($to - $marks[$i], $this->building->scale),
                'bricks' => LengthFormat::trimmed(($to - $marks[$i]) / $brick, 2).' bricks',
            ];
        }

        return $links;
    }

    /** @return list<array{words: string, size: array<string, string|float>}> eaves of every block that is seen, and the top of all */
    private function heights(float $top): array
    {
        $heights = [];
        foreach ($this->form->blocks as $block) {
            $heights[$block->block->name.', eaves'] = $this->building->scale->modelMm($block->block->eaves);
        }
        $heights['over all'] = $top;

        return array_map(
            fn (string $words, float $mm): array => ['words' => $words, 'size' => Size::ofModel($mm, $this->building->scale)],
            array_keys($heights),
            array_values($heights),
        );
    }
}
