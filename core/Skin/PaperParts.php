<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Pattern\Palette;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Part\Ref;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;
use Chartula\Core\Part\TurnedOpening;
use Chartula\Core\Part\Weather;
use Chartula\Core\Shell\WallEnd;
use Chartula\Core\Shell\WallMarks;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallShape;
use Chartula\Core\Shell\WallSpan;

/** One paper for each piece of wall: over its whole outside, lapping round the corners that it owns, turning into its openings. */
final readonly class PaperParts
{
    public static function make(Building $building, Walls $walls): PartSet
    {
        $sets = [];
        foreach ($walls->spans() as $span) {
            foreach ($span->form->isPapered && $span->isBuilt() ? $span->form->patches : [] as $piece => $patch) {
                $sets[] = self::paper($building, $walls, $span, $patch, $piece);
            }
        }

        return PartSet::joined($sets);
    }

    /** At an outer corner the paper of the stopped wall laps round under the other's, which stops flush: one lap a corner. */
    public static function lap(Building $building, Walls $walls, WallSpan $span, WallEnd $end): float
    {
        $laps = $end->yields && $end->isConvex() && ! $walls->span($span->form->block, $end->edge)->form->wall->isLeftOut();

        return $laps ? $building->methods->skin->overlap_mm : 0.0;
    }

    private static function paper(Building $building, Walls $walls, WallSpan $span, Patch $patch, int $piece): PartSet
    {
        $wall = $span->form;
        $skin = $building->methods->skin;
        $laps = [self::lap($building, $walls, $span, $span->left), self::lap($building, $walls, $span, $span->right)];
        $forms = WallShape::openingsIn($patch, $wall->openings);
        $openings = array_map(
            static fn (OpeningForm $o): PaperOpening =>
                new PaperOpening(
                    $o,
                    $skin->turnsIn() && $o->true === null ? $span->cut($o->opening)->flap($skin) : 0.0,
                    $wall->claims,
                    Coverings::ofLining($o->opening->style, $building)?->pattern,
                ),
            $forms,
        );
        [$outline, $folds] = self::outline($patch, $forms, $openings, $laps);
        $slits = $scores = [];
        $holes = array_values(array_filter($wall->holes(), static fn (Ring $r): bool => $patch->outline->contains($r->bounds()->centre())));
        foreach ($forms as $i => $opening) {
            if (! $opening->reachesFoot()) {
                $holes[] = $openings[$i]->cutOut();
            }
            array_push($slits, ...$openings[$i]->slits());
            array_push($scores, ...$openings[$i]->scores());
        }
        foreach ($folds as [$from, $to, $side]) {
            $scores[] = new Score($from, $to, 'away', 180.0 - ($side === 0 ? $span->left : $span->right)->angle, 'back');
        }
        $stock = $building->methods->paper;
        $id = $span->block->id.'.'.$span->name().($piece > 0 ? '-'.($piece + 1) : '').'.paper';
        $part = Part::of(
            new PartName($id, $span->block->id, $span->name(), 'paper'), 'P',
            ucfirst($span->name()).' wall, '.($wall->wall->finish->bond() === null ? 'paper' : 'brick paper'),
            PartGroup::Skin, $stock, $stock->thickness_mm,
            $outline, [$wall->frame->moved(0.0, 0.0, $stock->thickness_mm)], self::workings($wall, $laps, $outline->ring->bounds()),
            $holes, $scores, $slits, WallMarks::onPaper($walls->form, $span, new Region($outline->ring, $holes), $laps),
            mayTurn: false,
            // On the wall itself, where no opening and none of its flaps can be.
            shape: Shape::folded((new Region($patch->outline))->nearACorner(10.0 * Tolerance::EDGE)),
            art: self::art($building, $walls->form, $span, [$forms, $openings]),
        );
        $joints = [];
        foreach ($walls->facing($span, true) as $card) {
            if (Clip::sharedArea(new Region($patch->outline), new Region($card->shape->outline->ring)) > 0.01) {
                $joints[] = new Joint(
                    JointKind::Lap,
                    Ref::inside($id),
                    Ref::outside($card->part->id),
                    self::register($wall, $patch, $stock->thickness_mm),
                    why: 'stuck to the wall',
                );
            }
        }

        return new PartSet([$part], $joints);
    }

    /**
     * @param  array{float, float}  $laps
     * @return array<string, Figure>
     */
    private static function workings(WallForm $wall, array $laps, Box2 $box): array
    {
        $width = $wall->length;
        if ($laps[0] > 0.0 && $laps[0] === $laps[1]) {
            $width = $width->plus(2.0 * $laps[0], 'plus 2 × the lap, '.LengthFormat::trimmed($laps[0], 3));
        } else {
            foreach ($laps as $lap) {
                $width = $lap > 0.0 ? $width->plus($lap, 'plus the lap, '.LengthFormat::trimmed($lap, 3)) : $width;
            }
        }
        $height = $wall->apex ?? $wall->height;
        $figures = [
            'width' => $width,
            'height' => $wall->foot < 0.0 ? $height->plus(-$wall->foot, 'down to the lowest ground along it, and buried') : $height,
        ];
        foreach (['width' => $box->width(), 'height' => $box->height()] as $of => $mm) {
            $off = $figures[$of]->mm - $mm;
            $figures[$of] = abs($off) < Tolerance::FIGURE
                ? $figures[$of]
                : $figures[$of]->less($off, 'cut to what it meets, '.LengthFormat::trimmed($off, 3));
        }

        return $figures;
    }

    /**
     * Where the paper's ends or folds and its top must lie on the wall, on the printed face.
     *
     * @return list<Vec3>
     */
    private static function register(WallForm $wall, Patch $patch, float $thickness): array
    {
        return array_map(static fn (Vec2 $p): Vec3 => $wall->frame->point($p->x, $p->y, $thickness), $patch->outline->points);
    }

    /**
     * @param  list<OpeningForm>  $forms
     * @param  list<PaperOpening>  $openings of the same, in the same order
     * @param  array{float, float}  $laps
     * @return array{Outline, list<array{Vec2, Vec2, int}>} and the folds round the corners
     */
    private static function outline(Patch $patch, array $forms, array $openings, array $laps): array
    {
        $shape = WallShape::of($patch, [], static fn (): float => 0.0, new Edge('left'), new Edge('right'));
        $ring = $shape->outline->ring;
        $walk = [];
        $folds = [];
        foreach ($shape->labels as $i => $label) {
            [$from, $to] = [$ring->point($i), $ring->point($i + 1)];
            $lap = match ($label) {
                'left' => $laps[0],
                'right' => $laps[1],
                default => 0.0,
            };
            if ($lap > 0.0) {
                $out = new Vec2($label === 'left' ? -$lap : $lap, 0.0);
                $folds[] = $label === 'left' ? [$to, $from, 0] : [$from, $to, 1];
                $walk[] = [$from, new Edge($label === 'left' ? 'top' : 'foot', $label === 'left' ? 'top' : 'foot')];
                $walk[] = [$from->plus($out), new Edge('end')];
                $walk[] = [$to->plus($out), new Edge($label === 'left' ? 'foot' : 'top', $label === 'left' ? 'foot' : 'top')];

                continue;
            }
            $edge = match ($label) {
                'foot' => new Edge('foot', 'foot'),
                'left', 'right' => new Edge('end'),
                default => new Edge('top', 'top'),
            };
            $at = $from;
            foreach ($label === 'foot' ? $forms : [] as $k => $opening) {
                if ($opening->reachesFoot() && $opening->left >= $from->x && $opening->right() <= $to->x) {
                    $walk[] = [$at, $edge];
                    $notch = $openings[$k]->notch();
                    $at = $notch[count($notch) - 1][0];
                    array_push($walk, ...array_slice($notch, 0, -1));
                }
            }
            $walk[] = [$at, $edge];
        }
        usort($folds, static fn (array $p, array $q): int => $p[2] <=> $q[2]);

        return [Outline::walk(self::levelled($walk)), $folds];
    }

    /**
     * Begun at the lower left, without corners on a straight side.
     *
     * @param  list<array{Vec2, Edge}>  $walk
     * @return non-empty-list<array{Vec2, Edge}>
     */
    private static function levelled(array $walk): array
    {
        for ($i = 0; $i < count($walk);) {
            $n = count($walk);
            [$before, $here, $after] = [$walk[($i + $n - 1) % $n], $walk[$i], $walk[($i + 1) % $n]];
            $one = $here[0]->minus($before[0]);
            $other = $after[0]->minus($here[0]);
            if ($before[1]->name === $here[1]->name && abs($one->cross($other)) < Tolerance::CUT && $one->dot($other) > 0.0) {
                array_splice($walk, $i, 1);

                continue;
            }
            $i++;
        }
        $first = 0;
        foreach ($walk as $i => [$p]) {
            if ([round($p->y, 6), $p->x] < [round($walk[$first][0]->y, 6), $walk[$first][0]->x]) {
                $first = $i;
            }
        }
        $walk = [...array_slice($walk, $first), ...array_slice($walk, 0, $first)];
        assert($walk !== []);

        return $walk;
    }

    /** @return list<PrintedShape> */
    private static function printed(WallForm $wall, Building $building): array
    {
        $printed = array_filter($wall->claims, static fn (Claim $claim): bool => $claim->how->isPrinted() && ! $claim->pierces);
        // What is covered otherwise lies under all that stands round openings.
        usort($printed, static fn (Claim $a, Claim $b): int => ($a->covering === null) <=> ($b->covering === null));

        $face = Box2::around(array_merge([], ...array_map(static fn (Patch $p): array => $p->outline->points, $wall->patches)));

        return array_map(static fn (Claim $claim): PrintedShape => self::shape($claim, $building, $wall, $face), $printed);
    }

    /** @param  Box2  $face  round all of the wall that is built */
    private static function shape(Claim $claim, Building $building, WallForm $wall, Box2 $face): PrintedShape
    {
        $box = $claim->ring->bounds();
        // Of one that recedes the claim is of the wall as it is.
        $shape = PrintedShape::of($claim)->with(runsOn: $wall->receding !== null ? [] : array_keys(array_filter([
            'left' => $box->x0 < $face->x0 + Tolerance::MEET, 'right' => $box->x1 > $face->x1 - Tolerance::MEET,
            'foot' => $box->y0 < $face->y0 + Tolerance::MEET, 'top' => $box->y1 > $face->y1 - Tolerance::MEET,
        ])));
        $own = $building->papers[$claim->paper ?? ''] ?? null;
        if ($claim->covering === null) {
            return $own === null ? $shape : $shape->with(
                tone: new Tone($own->tone, $own->tone), pattern: FittedPaper::stretched($own, $claim->ring->bounds())->pattern,
            );
        }
        $pattern = Coverings::of($claim->covering, $building, $claim->paper, $claim->palette)?->pattern;
        if ($pattern === null) {
            return $shape;
        }
        $colour = $claim->feature->said->text('colour');
        $pattern = $colour === null ? $pattern : $pattern->inPalette(Palette::of($colour), null);

        return $shape->with(tone: new Tone($pattern->palette()->all()[0], $pattern->ground()), pattern: $pattern);
    }

    /** @param  array{list<OpeningForm>, list<PaperOpening>}  $openings  and how paper turns into them, in the same order */
    private static function art(Building $building, Form $form, WallSpan $span, array $openings): ?Artwork
    {
        [$openings, $papers] = $openings;
        $ratio = $building->scale->ratio;
        $wall = $span->form;
        $block = $span->block;
        $footprint = ($block->receding->block ?? $block)->footprint;
        $along = $footprint->ring()->point($wall->wall->edge + 1)->minus($footprint->ring()->point($wall->wall->edge));
        // Of a wall that recedes the bricks are laid as it is, and drawn as it comes to lie.
        $true = array_map(static fn (OpeningForm $o): OpeningForm => $o->true ?? $o, $openings);

        $covering = Coverings::of($wall->wall->finish, $building, $wall->wall->paper, $wall->wall->palette);
        $cheek = $wall->receding === null ? CheekCourses::of($building, $form, $wall, $covering?->pattern) : null;
        $covering = $cheek === null ? $covering : new Covering($cheek->pattern, 0.0);

        return $covering?->artwork(new CoveredFace(
            $cheek->datum ?? -$building->scale->modelMm($block->base),
            [0.0, $wall->receding === null ? $wall->length->mm : $footprint->length($wall->wall->edge)->mm / $ratio],
            // Walls that meet at a corner begin their courses by turns.
            $footprint->rect === null ? abs($along->y) > abs($along->x) : $wall->wall->edge % 2 === 1,
            array_values(array_map(
                static fn (OpeningForm $o): Box2 => new Box2($o->left, $o->sill, $o->right(), $o->sill + $o->shape->springing()),
                array_filter($true, static fn (OpeningForm $o): bool => ! $o->shape->isRound()),
            )),
            array_values(array_filter(array_map(static fn (PaperOpening $o): ?TurnedOpening => $o->reveal(), $papers))),
            ['foot' => $block->plinth === null ? FaceArt::MORE_MM : 0.0, 'top' => FaceArt::MORE_MM],
            $wall->receding,
            self::printed($wall, $building),
            self::weather($building, $wall),
        ));
    }

    /** Of a wall that recedes it is that of the wall as it is. */
    private static function weather(Building $building, WallForm $wall): ?Weather
    {
        $skin = $building->methods->skin;

        return max($skin->soot, $skin->damp) > 0.0 ? new Weather($skin->soot, $skin->damp, 0.0, $wall->height->mm) : null;
    }
}
