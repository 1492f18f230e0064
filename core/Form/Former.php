<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Building\Wall;
use Chartula\Core\Form\Perspective\RecedingRoof;
use Chartula\Core\Form\Relief\ReliefRoof;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;

/** Makes the surfaces of a building: each block's walls and roof, cut where blocks meet. docs/formulas.md#form */
final readonly class Former
{
    /** Walls of two blocks nearer than this stand in one plane, mm. */
    private const SAME_PLANE_MM = 0.02;

    /** A deck stays this far inside its parapets, mm. */
    private const DECK_CLEARANCE_MM = 0.1;

    /** @param  list<Ring>  $rings  footprints where they stand, model millimetres */
    private function __construct(
        private Building $building,
        private array $rings,
        private float $reach,
        private Problems $problems,
        private Recall $recall,
    ) {
    }

    /** Adds what cannot be made to the problems; the form is whole only where there are none. */
    public static function form(Building $building, Problems $problems, Recall $recall = new Recall): Form
    {
        $rings = array_map(static fn (Block $b): Ring => $b->standing()->scaled(1.0 / $building->scale->ratio), $building->blocks);
        $box = Box2::around(array_merge(...array_map(static fn (Ring $r): array => $r->points, $rings)));

        return (new self($building, $rings, count($rings) > 1 ? $box->width() + $box->height() : 0.0, $problems, $recall))->whole();
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
        [$facets, $problems] = $this->recall->of(Recall::question('envelope', $solids, $thickness, $roof, $paths), static function () use ($solids, $thickness, $roof, $paths): array {
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
                $corners = array_values(array_filter($a->ring->points, static fn (Vec2 $p): bool => $b->ring->distanceTo($p) < self::SAME_PLANE_MM));
                $others = array_values(array_filter($b->ring->points, static fn (Vec2 $p): bool => $a->ring->distanceTo($p) < self::SAME_PLANE_MM));
                $ends = [...$corners, ...$others];
                // Two points would be the ends of a shared stretch.
                if ($ends !== [] && count($corners) < 2 && count($others) < 2 && $ends[0]->distanceTo($ends[count($ends) - 1]) < self::SAME_PLANE_MM && ! $a->overlaps($b)) {
                    $this->problems->add($this->building->blocks[$b->index]->path, 'blocks.point', ['one' => $this->building->blocks[$a->index]->id, 'other' => $this->building->blocks[$b->index]->id]);
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
            $eaves = max(array_map(static fn (Vec2 $p): float => $view->at(new Vec3($p->x, $p->y, $eaves))->z, $this->ring($block->receding->block)->points));
        }

        return Solid::of($i, $block, $this->rings[$i], $scale->modelMm($block->base), $eaves, $roof, $this->reach);
    }

    /** Of a block as it is, cut as low relief leaves it. */
    private function roof(int $i, Block $block): RoofForm
    {
        $whole = $block->uncut->block ?? $block;
        $scale = $this->building->scale;
        $inset = array_map(static fn (float $t): float => $t + self::DECK_CLEARANCE_MM, $this->thickness($whole));
        $roof = RoofFormer::form($i, $whole, $scale, $this->ring($whole), $scale->modelMm($block->eaves), $this->reach, $inset, $this->problems);

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
        return array_map(fn ($wall): float => $wall->treat === 'omit' ? 0.0 : $this->building->methods->stacks[$wall->stack]->thickness_mm, $block->walls);
    }

    /** @param  list<Solid>  $solids */
    private function block(int $i, Block $block, array $solids, string $key): BlockForm
    {
        $solid = $solids[$i];
        $turn = deg2rad($block->turnDeg);
        $scale = $this->building->scale;
        $ground = new Frame(new Vec3($block->at->x / $scale->ratio, $block->at->y / $scale->ratio, $solid->base), new Vec3(cos($turn), sin($turn), 0.0), new Vec3(-sin($turn), cos($turn), 0.0));
        $height = Figure::measured($block->eaves, $scale, 'eaves');
        $height = $solid->base === 0.0 ? $height : $height->less($solid->base, 'less the base, '.LengthFormat::trimmed($solid->base, 3));
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
        $map = $this->receding($block, $edge, $solids[$i]);
        $ground = $this->ground($wall, $solids[$i]->base, $map, $block, $edge);
        // As deep as the lowest ground along it and somewhat buried, never short of the floor.
        $foot = $wall->ground === null || $ground === null ? 0.0 : min(0.0, min($ground) - $this->building->methods->bury_mm);
        $section = $this->section($i, $block, $edge, $solids, $foot, $key);
        $top = $section->topLine(0.0);
        $isPapered = $wall->treat === 'full' && in_array($wall->finish, Finish::DRAWN, true);
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
            Figure::measured($block->footprint->length($edge), $this->building->scale, $block->footprint->measure($edge)),
            $height, $this->apex($block, $solids[$i], $top, $a, $along, $height), $top,
            $wall->treat === 'omit' || ! $this->problems->areNone() ? [] : $section->patches(0.0, 0.0, 0.0, $ring->edgeLength($edge)),
            // What recedes is cut: no flap would fold along lines that converge.
            $openings, $isPapered, $isPapered && $map === null && $this->building->methods->skin->opening === 'folded' ? $this->building->methods->paper->thickness_mm : 0.0,
            [$block->footprint->angle($edge), $block->footprint->angle(($edge + 1) % $n)], $section, $foot, $ground, $map,
        );
    }

    /** From the wall as it is to the wall as it is built; null where that is the same. */
    private function receding(Block $block, int $edge, Solid $solid): ?Homography
    {
        if ($block->receding === null) {
            return null;
        }
        $view = $block->receding->view->over($this->building->scale->ratio);
        $ring = $this->ring($block->receding->block);
        [$a, $b] = [$ring->point($edge), $ring->point($edge + 1)];

        // The plane at the front is the one that stays true.
        return max(abs($a->y - $view->front), abs($b->y - $view->front)) < self::SAME_PLANE_MM ? null : $view->ofWall($a, $b->minus($a)->times(1.0 / $a->distanceTo($b)), $this->building->scale->modelMm($block->receding->block->base), $solid->base);
    }

    /**
     * At its left and its right end above the block's base; of a wall that recedes also where level ground would rise.
     *
     * @return ?array{float, float}
     */
    private function ground(Wall $wall, float $base, ?Homography $map, Block $block, int $edge): ?array
    {
        $ground = $wall->ground === null ? null : array_map(fn (RealLength $level): float => $this->building->scale->modelMm($level) - $base, $wall->ground);
        if ($map === null) {
            return $ground;
        }
        $length = $this->ring($block->receding->block ?? $block)->edgeLength($edge);
        $ends = [$map->at(new Vec2(0.0, $ground[0] ?? 0.0))->y, $map->at(new Vec2($length, $ground[1] ?? 0.0))->y];

        return $ground === null && max(array_map(abs(...), $ends)) < self::SAME_PLANE_MM ? null : $ends;
    }

    /** @param  list<Solid>  $solids */
    private function section(int $i, Block $block, int $edge, array $solids, float $foot, string $key): WallSection
    {
        $ring = $solids[$i]->ring;
        $along = $ring->point($edge + 1)->minus($ring->point($edge))->times(1.0 / $ring->edgeLength($edge));
        $roofEdge = $block->roof->edges[$edge];
        $eaves = $roofEdge->slopesFromEaves() || in_array($block->roof->kind, ['flat', 'none'], true) ? $this->eaves($block, $edge, $solids[$i]) : null;
        $thickness = $this->building->methods->roof()->thickness_mm;

        $party = $this->party($i, $edge, $solids, $roofEdge);
        $yields = $roofEdge->kind === RoofEdge::WALL;

        return new WallSection($solids, $solids[$i], $ring->point($edge), $along, $ring->edgeLength($edge), $party, $eaves, $yields, static fn (Facet $f): float => $thickness / $f->pitch->cos(), $foot,
            $block->receding !== null, $this->recall, Recall::question('wall', $key, $i, $edge, $party, $eaves, $yields, $foot, $block->receding !== null));
    }

    /** @return array{float, float} at a wall's left and its right end, above the block's base */
    private function eaves(Block $block, int $edge, Solid $solid): array
    {
        $scale = $this->building->scale;
        $eaves = $scale->modelMm($block->eaves);
        if ($block->receding === null) {
            return [$eaves - $solid->base, $eaves - $solid->base];
        }
        $view = $block->receding->view->over($scale->ratio);
        $ring = $this->ring($block->receding->block);
        $at = static fn (Vec2 $p): float => $view->at(new Vec3($p->x, $p->y, $eaves))->z - $solid->base;

        return [$at($ring->point($edge)), $at($ring->point($edge + 1))];
    }

    /**
     * Stretches of a wall that stand back to back with another block's wall, which is built instead: the higher one, the
     * earlier one of equals, and any that this one is said to stand against.
     *
     * @param  list<Solid>  $solids
     * @return list<array{float, float, string}>
     */
    private function party(int $i, int $edge, array $solids, RoofEdge $roofEdge): array
    {
        $ring = $solids[$i]->ring;
        $a = $ring->point($edge);
        $length = $ring->edgeLength($edge);
        $along = $ring->point($edge + 1)->minus($a)->times(1.0 / $length);
        $party = [];
        foreach ($solids as $solid) {
            foreach ($solid->index === $i ? [] : array_keys($solid->ring->points) as $j) {
                $p = $solid->ring->point($j)->minus($a);
                $q = $solid->ring->point($j + 1)->minus($a);
                if (max(abs($along->cross($p)), abs($along->cross($q))) > self::SAME_PLANE_MM || $along->dot($q) > $along->dot($p)) {
                    continue;
                }
                [$from, $to] = [max(0.0, $along->dot($q)), min($length, $along->dot($p))];
                if ($to - $from > self::SAME_PLANE_MM && $this->building->blocks[$solid->index]->walls[$j]->treat !== 'omit'
                    && ($roofEdge->kind === RoofEdge::WALL || $this->isLower($i, $edge, $solid->index, $j, $solids, $from, $to))) {
                    $party[] = [$from, $to, "party:$solid->index:$j"];
                }
            }
        }

        return $party;
    }

    /** @param  list<Solid>  $solids */
    private function isLower(int $i, int $edge, int $other, int $j, array $solids, float $from, float $to): bool
    {
        $tops = [];
        foreach ([[$i, $edge], [$other, $j]] as [$block, $e]) {
            $roofEdge = $this->building->blocks[$block]->roof->edges[$e];
            if ($roofEdge->kind === RoofEdge::WALL && $block === $other) {
                return false;
            }
            $tops[] = $roofEdge->slopesFromEaves() && $this->building->blocks[$block]->receding === null ? null : $solids[$block]->roof;
        }
        $ring = $solids[$i]->ring;
        $along = $ring->point($edge + 1)->minus($ring->point($edge))->times(1.0 / $ring->edgeLength($edge));
        $in = new Vec2(-$along->y, $along->x);
        $isLower = $i > $other;
        for ($k = 0; $k <= 16; $k++) {
            $at = $ring->point($edge)->plus($along->times($from + ($to - $from) * ($k + 0.01) / 16.02));
            $own = ($tops[0]?->heightAt($at->plus($in->times(0.001)))) ?? $solids[$i]->eaves;
            $its = ($tops[1]?->heightAt($at->minus($in->times(0.001)))) ?? $solids[$other]->eaves;
            if ($own > $its + 0.01) {
                return false;
            }
            $isLower = $isLower || $own < $its - 0.01;
        }

        return $isLower;
    }

    /** @param  non-empty-list<Vec2>  $top */
    private function apex(Block $block, Solid $solid, array $top, Vec2 $corner, Vec2 $along, Figure $height): ?Figure
    {
        $highest = $top[0];
        foreach ($top as $point) {
            $highest = $point->y > $highest->y ? $point : $highest;
        }
        $rise = $highest->y - $height->mm;
        if ($rise < 1e-6) {
            return null;
        }
        $at = $corner->plus($along->times($highest->x))->plus((new Vec2(-$along->y, $along->x))->times(0.0005));
        foreach ($solid->roof->facets as $facet) {
            $run = $facet->pitch->degrees > 0.0 ? $rise / $facet->pitch->tan() : 0.0;
            if ($facet->level === 0 && $facet->whole->outline->distanceTo($at) < 0.001 + ($facet->whole->outline->contains($at) ? INF : 0.0)) {
                return $height->plus($rise, 'plus the rise, run '.LengthFormat::trimmed($run, 3).' × tan '.$facet->pitch->text());
            }
        }

        return $height->plus($rise, 'plus the rise, '.LengthFormat::trimmed($rise, 3));
    }

    private function opening(Opening $opening, int $i, float $foot, ?Homography $map): OpeningForm
    {
        $style = $opening->style;
        $scale = $this->building->scale;
        $form = new OpeningForm(
            $opening->id.($i === 0 ? '' : '-'.($i + 1)), $opening, $i,
            $opening->leftMm($i) / $scale->ratio,
            $scale->modelMm($opening->sill),
            new OpeningShape($scale->modelMm($style->w), $scale->modelMm($style->h), $style->rise === null ? null : $scale->modelMm($style->rise)),
            $foot,
        );

        return $map === null ? $form : $form->receding($map);
    }
}
