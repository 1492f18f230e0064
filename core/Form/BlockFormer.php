<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\Methods;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\Wall;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Scale;

/** Makes the surfaces of a rectangular block under a gable roof. docs/formulas.md#gable */
final readonly class BlockFormer
{
    public static function form(Building $building): BlockForm
    {
        return (new self($building->block, $building->scale, $building->methods))->block();
    }

    private function __construct(
        private Block $block,
        private Scale $scale,
        private Methods $methods,
    ) {
    }

    private function block(): BlockForm
    {
        $ground = $this->ground();
        $height = $this->wallHeight();
        $ridge = $this->ridge($height);
        $walls = [];
        foreach ($this->block->walls as $wall) {
            $walls[] = $this->wall($wall, $ground, $height, $ridge);
        }
        [$front, $right, $back, $left] = $walls;
        $eavesWalls = $this->block->roof->ridge === 'x' ? [$front, $back] : [$right, $left];
        $planes = array_map($this->plane(...), $eavesWalls);

        return new BlockForm(
            $this->block, $ground, [$front, $right, $back, $left], [$planes[0], $planes[1]], $ridge, $this->block->roof->pitch,
            $this->scale->modelMm($this->block->roof->eaves), $this->scale->modelMm($this->block->roof->verge),
        );
    }

    private function ground(): Frame
    {
        $turn = deg2rad($this->block->turnDeg);
        $at = new Vec3($this->scale->modelMm($this->block->atX), $this->scale->modelMm($this->block->atY), $this->scale->modelMm($this->block->base));

        return new Frame($at, new Vec3(cos($turn), sin($turn), 0.0), new Vec3(-sin($turn), cos($turn), 0.0));
    }

    private function wallHeight(): Figure
    {
        $eaves = Figure::measured($this->block->eaves, $this->scale, 'eaves');
        $base = $this->scale->modelMm($this->block->base);

        return $base === 0.0 ? $eaves : $eaves->less($base, 'less the base, '.LengthFormat::trimmed($base, 3));
    }

    /** Ridge of the underside: eaves + span / 2 · tan pitch. */
    private function ridge(Figure $height): Figure
    {
        $roof = $this->block->roof;
        $span = $roof->ridge === 'x' ? $this->block->depth : $this->block->width;
        $run = $this->scale->modelMm($span) / 2.0;
        $rise = $run * $roof->pitch->tan();

        return $height->plus($rise, 'plus the rise, run '.LengthFormat::trimmed($run, 3).' × tan '.$roof->pitch->text());
    }

    private function wall(Wall $wall, Frame $ground, Figure $height, Figure $ridge): WallForm
    {
        $w = $this->scale->modelMm($this->block->width);
        $d = $this->scale->modelMm($this->block->depth);
        $up = $ground->normal;
        [$origin, $along] = match ($wall->edge) {
            0 => [$ground->point(0.0, 0.0), $ground->x],
            1 => [$ground->point($w, 0.0), $ground->y],
            2 => [$ground->point($w, $d), $ground->x->times(-1.0)],
            default => [$ground->point(0.0, $d), $ground->y->times(-1.0)],
        };
        $alongX = $wall->edge % 2 === 0;
        $isGable = $alongX === ($this->block->roof->ridge === 'y');
        $openings = [];
        foreach ($wall->openings as $opening) {
            for ($i = 0; $i < $opening->count; $i++) {
                $openings[] = $this->opening($opening, $i);
            }
        }
        usort($openings, static fn (OpeningForm $a, OpeningForm $b): int => [$a->left, $a->sill] <=> [$b->left, $b->sill]);

        $isPapered = $wall->treat === 'full' && in_array($wall->finish, Finish::DRAWN, true);

        return new WallForm(
            $wall, new Frame($origin, $along, $up),
            Figure::measured($alongX ? $this->block->width : $this->block->depth, $this->scale, $alongX ? 'width' : 'depth'),
            $height, $isGable ? $ridge : null, $openings,
            $isPapered, $isPapered && $this->methods->skin->opening === 'folded' ? $this->methods->paper->thickness_mm : 0.0,
        );
    }

    private function opening(Opening $opening, int $i): OpeningForm
    {
        $style = $opening->style;

        return new OpeningForm(
            $opening->id.($i === 0 ? '' : '-'.($i + 1)), $opening, $i,
            $opening->leftMm($i) / $this->scale->ratio,
            $this->scale->modelMm($opening->sill),
            new OpeningShape($this->scale->modelMm($style->w), $this->scale->modelMm($style->h), $style->rise === null ? null : $this->scale->modelMm($style->rise)),
        );
    }

    private function plane(WallForm $wall): RoofPlane
    {
        $roof = $this->block->roof;
        $pitch = $roof->pitch;
        $out = $this->scale->modelMm($roof->eaves);
        $verge = $this->scale->modelMm($roof->verge);
        $span = $roof->ridge === 'x' ? $this->block->depth : $this->block->width;
        $upSlope = $wall->frame->normal->times(-$pitch->cos())->plus($wall->frame->y->times($pitch->sin()));
        $slope = Figure::measured($span, $this->scale, 'span')
            ->over(2.0, '÷ 2, the run')
            ->plus($out, 'plus the overhang, '.LengthFormat::trimmed($out, 3))
            ->over($pitch->cos(), '÷ cos '.$pitch->text());

        return new RoofPlane(
            $wall->wall->edge, $wall->wall->name,
            new Frame($wall->frame->point(-$verge, $wall->height->mm - $out * $pitch->tan(), $out), $wall->frame->x, $upSlope),
            $wall->length->plus(2.0 * $verge, 'plus 2 × the verge, '.LengthFormat::trimmed($verge, 3)),
            $slope,
        );
    }
}
