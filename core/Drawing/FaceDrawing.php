<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Pattern;
use Chartula\Core\Part\Pattern\Picture;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Part\TurnedEdge;
use Chartula\Core\Part\TurnedOpening;
use Chartula\Core\Skin\Layout;
use Chartula\Core\Skin\Layouts;
use Chartula\Core\Skin\RevealLayout;

/** A face's covering, drawn from its rule. */
final readonly class FaceDrawing
{
    private Layout $layout;

    private function __construct(private FaceArt $art)
    {
        $this->layout = Layouts::of($art);
    }

    /**
     * @param  Ring  $all  a box round what is to be covered
     * @param  ?float  $beyond  how much farther than it is turned in paper is covered in openings; null where they are not cut out
     * @return list<Path>
     */
    public static function paths(FaceArt $art, Ring $all, ?float $beyond): array
    {
        return (new self($art))->all($all, $beyond);
    }

    /** @return list<Path> */
    private function all(Ring $all, ?float $beyond): array
    {
        $art = $this->art;
        $wall = ($art->receding()?->inverse()->ring($all) ?? $all)->bounds();
        $paths = [...$this->grounds($all), ...$this->toned($this->units($wall))];
        foreach ($art->dressings as $shape) {
            if ($shape->pattern !== null) {
                array_push($paths, ...$this->covered($shape, $shape->pattern, $wall));

                continue;
            }
            $shape = $shape->runningOn($wall);
            // A joint runs round it too.
            $joint = $art->pattern->joint();
            $bed = $joint > 0.0 ? Offset::lines($shape->ring, array_fill(0, $shape->ring->count(), $joint)) : $shape->ring;
            $paths[] = $this->ground($art->receding()?->ring($bed) ?? $bed);
            array_push($paths, ...ShapeDrawing::paths($shape->receding($art->receding())));
        }
        if ($beyond === null) {
            return $paths;
        }
        foreach ($art->reveals as $reveal) {
            array_push($paths, ...$this->reveal($reveal, $beyond));
        }

        return $paths;
    }

    /** @return list<Path> a part of the face that is covered otherwise, its units cut where it ends; with the face it runs on */
    private function covered(PrintedShape $shape, Pattern $pattern, Box2 $wall): array
    {
        $over = array_values(array_filter($this->art->dressings, static fn (PrintedShape $s): bool => $s->pattern === null));
        $own = new self($this->art->with(pattern: $pattern, dressings: $over, reveals: []));
        $box = $shape->runningOn($wall)->ring->bounds();
        $units = [];
        foreach ($own->units($box) as $unit) {
            $cut = Hull::around($unit);
            foreach ($box->corners() as $i => $p) {
                $cut = $cut?->leftOf($p, $box->corners()[($i + 1) % 4]->minus($p));
            }
            array_push($units, ...$cut === null || count($cut->points) < 3 ? [] : [$cut->points]);
        }

        return [...$own->grounds(new Ring($own->onPaper($box->corners())), $shape), ...$own->toned($units)];
    }

    /** @return list<non-empty-list<Vec2>> between the face's ends, and what is lapped round them */
    private function units(Box2 $box): array
    {
        $heights = new Interval($box->y0, $box->y1);
        [$left, $right] = $this->art->quoins;
        $turned = [
            ...$this->layout->turned($left, min(0.0, $box->x0 - $left), $heights),
            ...$this->layout->turned($right, max(0.0, $box->x1 - $right), $heights),
        ];

        return [...$this->layout->units($box), ...array_map(static fn (Box2 $b): array => $b->corners(), $turned)];
    }

    /** @return list<Path> a picture goes on into it as it is */
    private function reveal(TurnedOpening $reveal, float $beyond): array
    {
        if ($reveal->lining !== null) {
            $own = $this->art->with(pattern: $reveal->lining, dressings: [], reveals: []);

            return (new self($own))->reveal($reveal->with(lining: null), $beyond);
        }
        $turned = new RevealLayout($this->layout, $this->art->pattern->joint(), $reveal, $beyond);
        $isPicture = $this->art->pattern instanceof Picture;
        $paths = $isPicture ? [] : [$this->ground($reveal->ring)];
        foreach (['foot', 'head'] as $edge) {
            $finish = $reveal->finishes[$edge] ?? null;
            array_push($paths, ...$isPicture && $finish === null ? [] : $this->turned($turned->onEdge($edge), $finish));
        }
        if ($reveal->isRound) {
            return $paths;
        }
        if (! $isPicture) {
            $jambs = array_map(static fn (Hull $h): array => $h->points, $turned->jambs());
            $paths[] = new Path(Layer::Art, $jambs, true, null, $this->art->pattern->ground());
        }
        foreach (['left', 'right'] as $edge) {
            array_push($paths, ...$this->turned($turned->courses($edge), $reveal->finishes[$edge] ?? null));
            foreach (isset($reveal->finishes[$edge]) ? [] : $this->art->dressings as $shape) {
                array_push($paths, ...$this->coveredJamb($shape, $reveal, $edge, $beyond));
            }
        }

        return $paths;
    }

    /**
     * What of a jamb lies beside a part of the face that is covered otherwise, and is so, too.
     *
     * @param  'left'|'right'  $edge
     * @return list<Path>
     */
    private function coveredJamb(PrintedShape $shape, TurnedOpening $reveal, string $edge, float $beyond): array
    {
        $box = $shape->ring->bounds();
        $x = $reveal->ring->points[$edge === 'left' ? 0 : 1]->x;
        if ($shape->pattern === null || $box->x0 > $x - Tolerance::MEET || $box->x1 < $x + Tolerance::MEET) {
            return [];
        }
        $own = new self($this->art->with(pattern: $shape->pattern, dressings: [], reveals: []));
        $turned = new RevealLayout($own->layout, $shape->pattern->joint(), $reveal, $beyond);
        $cut = static fn (Hull $hull): ?Hull => $hull->leftOf(new Vec2($x, $box->y0), new Vec2(1.0, 0.0))
            ?->leftOf(new Vec2($x, $box->y1), new Vec2(-1.0, 0.0));
        $flap = $cut($turned->jambs()[$edge === 'left' ? 0 : 1]);
        $units = [];
        foreach (array_map($cut, $turned->courses($edge)) as $unit) {
            array_push($units, ...$unit !== null && count($unit->points) > 2 ? [$unit->points] : []);
        }

        return $flap === null || count($flap->points) < 3
            ? []
            : [...$own->grounds(new Ring($flap->points), $shape), ...$own->toned($units)];
    }

    /**
     * @param  list<Hull>  $hulls
     * @return list<Path> in the tones of the covering, or in that of whatever finishes an edge
     */
    private function turned(array $hulls, ?TurnedEdge $finish): array
    {
        $units = array_map(static fn (Hull $h): array => $h->points, $hulls);

        return $finish === null || $finish->tone->unit === $this->layout->tones()[0]
            ? $this->toned($units)
            : [new Path(Layer::Art, $units, true, null, $finish->tone->unit)];
    }

    /**
     * What shows between the units, or the picture that is there in place of them.
     *
     * @param  ?PrintedShape  $of  a part of the face on which it lies; null where it lies on the face
     * @return list<Path>
     */
    private function grounds(Ring $ring, ?PrintedShape $of = null): array
    {
        $picture = $this->art->pattern;
        if (! $picture instanceof Picture) {
            return [$this->ground($ring), ...$this->art->weather === null || $this->art->receding() !== null ? [] : Weathered::ground(
                $this->art->weather, $ring->bounds(), $picture->ground(),
            )];
        }
        [$x, $y] = [$this->art->quoins[0], $this->art->datum];
        if ($of !== null && ! $picture->isTiled) {
            $box = $of->ring->bounds();
            [$x, $y] = [$box->x0, $box->y0 + $picture->foot];
        }
        $copy = new Box2($x, $y - $picture->foot, $x + $picture->size[0], $y - $picture->foot + $picture->size[1]);

        return [$this->ground($ring)->with(tiles: new Tiles($picture->sha256, $copy, $picture->isTiled, $this->art->receding()))];
    }

    private function ground(Ring $ring): Path
    {
        return new Path(Layer::Art, [$ring->points], true, null, $this->art->pattern->ground());
    }

    /**
     * @param  non-empty-list<Vec2>  $unit
     * @return non-empty-list<Vec2>
     */
    private function onPaper(array $unit): array
    {
        foreach ($this->art->sweeps as $sweep) {
            $unit = $sweep->unit($unit);
        }

        return $this->art->receding()?->ring(new Ring($unit))->points ?? $unit;
    }

    /**
     * Units in their tones, a path for each tone and what years have left on it: by where they lie on the face, whatever becomes of that
     * on the paper.
     *
     * @param  list<non-empty-list<Vec2>>  $units
     * @return list<Path>
     */
    private function toned(array $units): array
    {
        $byTone = array_fill(0, count($this->layout->tones()), []);
        $weather = $this->art->weather;
        foreach ($units as $unit) {
            $byTone[$this->layout->toneOf($unit)][$weather === null ? 0 : Weathered::steps($weather, $unit)][] = $this->onPaper($unit);
        }
        $paths = [];
        foreach ($byTone as $tone => $worn) {
            foreach ($worn as $steps => $lines) {
                $paths[] = new Path(Layer::Art, $lines, true, null, Weathered::worn($this->layout->tones()[$tone], $steps));
            }
        }

        return $paths;
    }
}
