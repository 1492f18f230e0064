<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\BrickArt;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Part\Score;
use Chartula\Core\Shell\WallParts;
use Chartula\Core\Shell\WallSpan;

/** One brick paper a wall: over its whole outside, lapping round the corners that it owns, turning into its openings. */
final readonly class PaperParts
{
    private const BONDS = ['brick-stretcher' => 'stretcher', 'brick-english' => 'english', 'brick-flemish' => 'flemish'];

    /** Side papers lap round the corner under the papers of front and back, which stop flush: one lap a corner. */
    private static function laps(WallForm $wall): bool
    {
        return $wall->wall->edge % 2 === 1;
    }

    public static function make(Building $building, BlockForm $form): PartSet
    {
        $set = new PartSet;
        foreach (WallParts::spans($building, $form) as $span) {
            if ($span->form->isPapered) {
                $set = $set->with(self::paper($building, $form, $span));
            }
        }

        return $set;
    }

    private static function paper(Building $building, BlockForm $form, WallSpan $span): PartSet
    {
        $wall = $span->form;
        $skin = $building->methods->skin;
        $lap = self::laps($wall) ? $skin->overlap_mm : 0.0;
        $openings = array_map(static fn (OpeningForm $o): PaperOpening => new PaperOpening($o, $skin->opening === 'folded', $skin->flap_mm), $wall->openings);
        $outline = self::outline($wall, $openings, $lap);
        $holes = $slits = $scores = [];
        foreach ($wall->openings as $i => $opening) {
            if (! $opening->reachesFoot()) {
                $holes[] = $openings[$i]->cutOut();
            }
            array_push($slits, ...$openings[$i]->slits());
            array_push($scores, ...$openings[$i]->scores());
        }
        if ($lap > 0.0) {
            $scores[] = new Score(new Vec2(0.0, 0.0), new Vec2(0.0, $wall->height->mm), 'away', 90.0, 'back');
            $scores[] = new Score(new Vec2($wall->length->mm, 0.0), new Vec2($wall->length->mm, $wall->height->mm), 'away', 90.0, 'back');
        }
        $stock = $building->methods->paper;
        $width = $lap > 0.0 ? $wall->length->plus(2.0 * $lap, 'plus 2 × the lap, '.LengthFormat::trimmed($lap, 3)) : $wall->length;
        $id = $form->block->id.'.'.$wall->wall->name.'.paper';
        $part = Part::of(
            $id, 'P', ucfirst($wall->wall->name).' wall, brick paper', 'skin', $stock, $stock->thickness_mm,
            $outline, [$wall->frame->moved(0.0, 0.0, $stock->thickness_mm)], ['width' => $width, 'height' => $wall->apex ?? $wall->height],
            $holes, $scores, $slits, self::sills($building, $wall), mayTurn: false,
            foldedAbout: new Vec2($span->start + 0.01, 0.01), art: self::art($building, $form, $wall),
        );

        return new PartSet([$part], [new Joint('lap', Ref::inside($id), Ref::outside($span->outermostId($form->block->id)), self::register($wall, $stock->thickness_mm), why: 'stuck to the wall')]);
    }

    /**
     * Where the paper's ends or folds and its top must lie on the wall, on the printed face.
     *
     * @return list<Vec3>
     */
    private static function register(WallForm $wall, float $thickness): array
    {
        [$length, $half] = [$wall->length->mm, $wall->height->mm / 2.0];
        $points = [[0.0, $half], [$length, $half], [$length / 4.0, $wall->heightAt($length / 4.0)], [$length * 0.75, $wall->heightAt($length * 0.75)]];

        return array_map(static fn (array $p): Vec3 => $wall->frame->point($p[0], $p[1], $thickness), $points);
    }

    /** @param  list<PaperOpening>  $openings of the wall, in its order */
    private static function outline(WallForm $wall, array $openings, float $lap): Outline
    {
        $length = $wall->length->mm;
        $walk = [[new Vec2(-$lap, 0.0), new Edge('foot', 'foot')]];
        foreach ($wall->openings as $i => $opening) {
            if ($opening->reachesFoot()) {
                array_push($walk, ...$openings[$i]->notch());
            }
        }
        $top = $wall->between(0.0, $length)->points;
        $walk[] = [new Vec2($length + $lap, 0.0), new Edge('end')];
        $walk[] = [new Vec2($length + $lap, $wall->height->mm), new Edge('top', 'top')];
        foreach (array_slice($top, 2) as $point) {
            $walk[] = [$point, new Edge('top', 'top')];
        }
        $walk[] = [new Vec2(-$lap, $wall->height->mm), new Edge('end')];

        return Outline::walk($walk);
    }

    /**
     * Sills are printed for now.
     *
     * @return list<Mark>
     */
    private static function sills(Building $building, WallForm $wall): array
    {
        $marks = [];
        foreach ($wall->openings as $opening) {
            $sill = $opening->opening->style->sill;
            if ($sill !== null && ! $opening->reachesFoot()) {
                $beyond = $building->scale->modelMm($sill->beyond);
                $low = $opening->sill - $building->scale->modelMm($sill->h);
                $x0 = $opening->left - $beyond;
                $x1 = $opening->right() + $beyond;
                $marks[] = new Mark([new Vec2($x0, $low), new Vec2($x1, $low), new Vec2($x1, $opening->sill), new Vec2($x0, $opening->sill), new Vec2($x0, $low)], 'sill');
            }
        }

        return $marks;
    }

    private static function art(Building $building, BlockForm $form, WallForm $wall): BrickArt
    {
        $ratio = $building->scale->ratio;

        return new BrickArt(
            self::BONDS[$wall->wall->finish] ?? 'stretcher',
            $building->gauge->brick_mm / $ratio, $building->gauge->course_mm / $ratio, $building->gauge->joint_mm / $ratio,
            -$building->scale->modelMm($form->block->base),
            $wall->wall->edge % 2 === 1,
            [0.0, $wall->length->mm],
            array_map(static fn (OpeningForm $o): Box2 => new Box2($o->left, $o->sill, $o->right(), $o->sill + $o->shape->springing()), $wall->openings),
            $building->methods->skin->brick, $building->methods->skin->mortar,
        );
    }
}
