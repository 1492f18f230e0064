<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\Wall;
use Chartula\Core\Form\Perspective\RecedingRoof;
use Chartula\Core\Form\Perspective\RecedingWall;
use Chartula\Core\Form\Relief\ReliefRoof;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;

/** Makes the surfaces of a building: each block's walls and roof, cut where blocks meet. docs/formulas.md#form */
final readonly class Surfaces
{
    /** A deck stays this far inside its parapets, mm. */
    private const DECK_CLEARANCE_MM = 0.1;

    /** @param  list<Ring>  $rings  footprints where they stand, model millimetres */
    private function __construct(
        private Building $building,
        private array $rings,
        private float $reach,
        private Problems $problems,
        private Recall $recall,
        private OpeningShapes $shapes,
    ) {
    }

    /** Adds what cannot be made to the problems; the form is whole only where there are none. */
    public static function of(Building $building, Problems $problems, Recall $recall = new Recall): Form
    {
        return self::over($building, $problems, $recall)->whole();
    }

    /** @return list<Solid> what each block takes up by itself */
    public static function solids(Building $building, Problems $problems): array
    {
        $self = self::over($building, $problems, new Recall);

        return array_map($self->solid(...), array_keys($building->blocks), $building->blocks);
    }

    private static function over(Building $building, Problems $problems, Recall $recall): self
    {
        $rings = array_map(static fn (Block $b): Ring => $b->standing()->scaled(1.0 / $building->scale->ratio), $building->blocks);
        $box = Box2::around(array_merge(...array_map(static fn (Ring $r): array => $r->points, $rings)));

        $reach = count($rings) > 1 ? $box->width() + $box->height() : 0.0;

        return new self($building, $rings, $reach, $problems, $recall, new OpeningShapes($building->scale));
    }

    private function whole(): Form
    {
        $solids = [];
        foreach ($this->building->blocks as $i => $block) {
            $solids[] = $this->solid($i, $block);
        }
        $this->pointContacts($solids);
        $thickness = array_map($this->thickness(...), $this->building->blocks);
        $facets = $this->problems->areNone() ? $this->envelope($solids, $thickness) : [];
        $key = Recall::question('solids', $solids, $this->building->methods->roof()->thickness_mm);
        $blocks = [];
        foreach ($this->building->blocks as $i => $block) {
            $blocks[] = $this->block($i, $block, $solids, $key);
        }

        return new Form($blocks, $facets, $solids);
    }

    /**
     * @param  list<Solid>  $solids
     * @param  list<list<float>>  $thickness
     * @return list<Facet>
     */
    private function envelope(array $solids, array $thickness): array
    {
        $roof = $this->building->methods->roof()->thickness_mm;
        $paths = array_map(static fn (Block $b): string => $b->roof->path, $this->building->blocks);
        $question = Recall::question('envelope', $solids, $thickness, $roof, $paths);
        [$facets, $problems] = $this->recall->of($question, static function () use ($solids, $thickness, $roof, $paths): array {
            $problems = new Problems;

            return [Envelope::of($solids, $thickness, $roof, $problems, $paths), $problems];
        });
        $this->problems->addAll($problems);

        return $facets;
    }

    /**
     * Blocks that only touch in a corner: nothing holds them together, and no wall is the other's.
     *
     * @param  list<Solid>  $solids
     */
    private function pointContacts(array $solids): void
    {
        foreach ($solids as $a) {
            foreach ($solids as $b) {
                if ($a->index >= $b->index) {
                    continue;
                }
                $corners = array_values(
                    array_filter($a->ring->points, static fn (Vec2 $p): bool => $b->ring->distanceTo($p) < Tolerance::PLANE),
                );
                $others = array_values(
                    array_filter($b->ring->points, static fn (Vec2 $p): bool => $a->ring->distanceTo($p) < Tolerance::PLANE),
                );
                $ends = [...$corners, ...$others];
                // Two points would be the ends of a shared stretch.
                if (
                    $ends !== []
                    && count($corners) < 2
                    && count($others) < 2
                    && $ends[0]->distanceTo($ends[count($ends) - 1]) < Tolerance::PLANE
                    && ! $a->overlaps($b)
                ) {
                    $this->problems->add(
                        $this->building->blocks[$b->index]->path,
                        'blocks.point',
                        ['one' => $this->building->blocks[$a->index]->id, 'other' => $this->building->blocks[$b->index]->id],
                    );
                }
            }
        }
    }

    private function solid(int $i, Block $block): Solid
    {
        $scale = $this->building->scale;
        $eaves = $scale->modelMm($block->eaves);
        $roof = $this->roof($i, $block->receding->block ?? $block);
        if ($block->receding !== null) {
            $view = $block->receding->view->over($scale->ratio);
            $roof = RecedingRoof::of($roof, $view) ?? $this->tooNear($block);
            $eaves = max(
                array_map(
                    static fn (Vec2 $p): float => $view->at(new Vec3($p->x, $p->y, $eaves))->z,
                    $this->ring($block->receding->block)->points,
                ),
            );
        }

        return Solid::of($i, $block, $this->rings[$i], $scale->modelMm($block->base), $eaves, $roof, $this->reach);
    }

    /** Forms a block as it is and cuts it as low relief leaves it. */
    private function roof(int $i, Block $block): RoofForm
    {
        $whole = $block->uncut->block ?? $block;
        $scale = $this->building->scale;
        $ring = $this->ring($whole);
        $inset = [];
        foreach ($this->thickness($whole) as $edge => $t) {
            // What is squeezed afterwards is taken so much further in that it comes out as far in as the card is thick.
            $along = $ring->point($edge + 1)->minus($ring->point($edge))->times(1.0 / $ring->edgeLength($edge));
            $inset[] = ($t + self::DECK_CLEARANCE_MM) * hypot($along->y, $along->x / ($block->uncut->squeeze ?? 1.0));
        }
        $roof = RoofPlanes::of(
            $i,
            $whole,
            $scale,
            $ring,
            $scale->modelMm($block->eaves),
            $this->reach,
            $inset,
            $this->problems,
        );

        return $block->uncut === null ? $roof : ReliefRoof::of($roof, $block->uncut, $scale->ratio);
    }

    private function tooNear(Block $block): RoofForm
    {
        $this->problems->add($this->building->perspective->path ?? $block->path, 'perspective.too-near', ['block' => $block->name]);

        return new RoofForm([], null);
    }

    private function ring(Block $block): Ring
    {
        return $block->standing()->scaled(1.0 / $this->building->scale->ratio);
    }

    /** @return list<float> */
    private function thickness(Block $block): array
    {
        return array_map(
            fn (Wall $wall): float => $wall->isLeftOut() ? 0.0 : $this->building->methods->stacks[$wall->stack]->thickness_mm,
            $block->walls,
        );
    }

    /** @param  list<Solid>  $solids */
    private function block(int $i, Block $block, array $solids, string $key): BlockForm
    {
        $solid = $solids[$i];
        $turn = deg2rad($block->turnDeg);
        $scale = $this->building->scale;
        $ground = new Frame(
            new Vec3($block->at->x / $scale->ratio, $block->at->y / $scale->ratio, $solid->base),
            new Vec3(cos($turn), sin($turn), 0.0),
            new Vec3(-sin($turn), cos($turn), 0.0),
        );
        $height = Figure::measured($block->eaves, $scale, 'eaves');
        $height = $solid->base === 0.0 ? $height : $height->less($solid->base, 'less the base, '.LengthFormat::trimmed($solid->base, 3));
        $height = BuiltFigures::height($block, $height);
        $walls = [];
        foreach (array_keys($block->walls) as $edge) {
            $walls[] = $this->wall($i, $block, $edge, $height, $solids, $key);
        }

        return new BlockForm($i, $block, $ground, $solid->ring, $solid->base, $solid->eaves, $walls, $solid->roof,
            $block->plinth === null ? null : $this->building->scale->modelMm($block->plinth) - $solid->base);
    }

    /** @param  list<Solid>  $solids */
    private function wall(int $i, Block $block, int $edge, Figure $height, array $solids, string $key): WallForm
    {
        $wall = $block->walls[$edge];
        $ring = $solids[$i]->ring;
        $n = $ring->count();
        $a = $ring->point($edge);
        $along = $ring->point($edge + 1)->minus($a)->times(1.0 / $ring->edgeLength($edge));
        $receding = new RecedingWall($block, $edge, $this->building->scale);
        $map = $receding->map($solids[$i]->base);
        $ground = $receding->ground($map, $solids[$i]->base);
        // As deep as the lowest ground along it and somewhat buried, never short of the floor.
        $foot = $wall->ground === null || $ground === null ? 0.0 : min(0.0, min($ground) - $this->building->methods->bury_mm);
        $section = $this->section($i, $block, $edge, $solids, $foot, $key);
        $top = $section->topLine(0.0);
        $isPapered = $this->building->papers($wall);
        $openings = [];
        foreach ($wall->openings as $opening) {
            for ($k = 0; $k < $opening->count; $k++) {
                $openings[] = $this->opening($opening, $k, $foot, $map);
            }
        }
        usort($openings, static fn (OpeningForm $p, OpeningForm $q): int => [$p->left, $p->sill] <=> [$q->left, $q->sill]);

        return new WallForm(
            $i, $wall,
            new Frame(new Vec3($a->x, $a->y, $solids[$i]->base), new Vec3($along->x, $along->y, 0.0), new Vec3(0.0, 0.0, 1.0)),
            BuiltFigures::length(
                $wall,
                Figure::measured($block->footprint->length($edge), $this->building->scale, $block->footprint->measure($edge)),
            ),
            $height, $this->apex($block, $solids[$i], $top, $a, $along, $height), $top,
            $wall->isLeftOut() || ! $this->problems->areNone() ? [] : $section->patches(CardSlice::face($ring->edgeLength($edge))),
            // What recedes is cut: no flap would fold along lines that converge.
            $openings, $isPapered,
            $isPapered && $map === null && $this->building->methods->skin->lines()
                ? $this->building->methods->paper->thickness_mm
                : 0.0,
            [$block->footprint->angle($edge), $block->footprint->angle(($edge + 1) % $n)], $section, $foot, $ground, $map,
        );
    }

    /** @param  list<Solid>  $solids */
    private function section(int $i, Block $block, int $edge, array $solids, float $foot, string $key): WallSection
    {
        $ring = $solids[$i]->ring;
        $along = $ring->point($edge + 1)->minus($ring->point($edge))->times(1.0 / $ring->edgeLength($edge));
        $roofEdge = $block->roof->edges[$edge];
        $eaves = $roofEdge->slopesFromEaves() || ! $block->roof->kind->isPitched()
            ? (new RecedingWall($block, $edge, $this->building->scale))->eaves($solids[$i]->base)
            : null;
        $thickness = $this->building->methods->roof()->thickness_mm;

        $party = PartyWalls::of($this->building, $i, $edge, $solids);
        $yields = $block->roof->runsOn($roofEdge);
        $past = count($solids) === 1
            ? []
            : Crossings::of($this->building, $i, $edge, $solids, array_map($this->thickness(...), $this->building->blocks));

        return new WallSection(
            $solids,
            $solids[$i],
            $ring->point($edge),
            $along,
            $ring->edgeLength($edge),
            $party,
            $eaves,
            $yields,
            static fn (Facet $f): float => $thickness / $f->pitch->cos(),
            $foot,
            $block->receding !== null,
            $past,
            $this->recall,
            Recall::question('wall', $key, $i, $edge, $party, $eaves, $yields, $foot, $block->receding !== null, $past),
        );
    }

    /** @param  non-empty-list<Vec2>  $top */
    private function apex(Block $block, Solid $solid, array $top, Vec2 $corner, Vec2 $along, Figure $height): ?Figure
    {
        $highest = $top[0];
        foreach ($top as $point) {
            $highest = $point->y > $highest->y ? $point : $highest;
        }
        $rise = $highest->y - $height->mm;
        if ($rise < Tolerance::FIGURE) {
            return null;
        }
        $at = $corner->plus($along->times($highest->x))->plus((new Vec2(-$along->y, $along->x))->times(0.0005));
        foreach ($solid->roof->facets as $facet) {
            $run = $facet->pitch->degrees > 0.0 ? $rise / $facet->pitch->tan() : 0.0;
            if (
                $facet->level === 0 && $facet->whole->outline->distanceTo($at) < 0.001 + ($facet->whole->outline->contains($at) ? INF : 0.0)
            ) {
                return $height->plus($rise, 'plus the rise, run '.LengthFormat::trimmed($run, 3).' × tan '.$facet->pitch->text());
            }
        }

        return $height->plus($rise, 'plus the rise, '.LengthFormat::trimmed($rise, 3));
    }

    private function opening(Opening $opening, int $i, float $foot, ?Homography $map): OpeningForm
    {
        $form = OpeningForm::of($opening, $i, $this->shapes, $foot);

        return $map === null ? $form : $form->receding($map);
    }
}
