<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;

/** The outline of a layer of wall with its doors let into the foot, and its other openings as holes. */
final readonly class WallShape
{
    /**
     * @param  list<Ring>  $holes
     * @param  array<string, int>  $holeOf  the index of an opening's hole, by the opening's id
     */
    private function __construct(
        public Outline $outline,
        public array $holes,
        public array $holeOf,
    ) {
    }

    /**
     * @param  float  $grow  by how much openings are larger than finished, for the paper that turns in
     * @param  Edge  $left  what the ends are
     */
    public static function of(WallForm $wall, float $x0, float $x1, float $grow, Edge $left, Edge $right): self
    {
        $walk = [];
        $at = new Vec2($x0, 0.0);
        foreach ($wall->openings as $opening) {
            if ($opening->reachesFoot()) {
                $walk[] = [$at, new Edge('foot', 'foot')];
                $notch = self::notch($opening, $grow);
                array_push($walk, ...$notch);
                $at = new Vec2($opening->right() + $grow, 0.0);
            }
        }
        $walk[] = [$at, new Edge('foot', 'foot')];
        $ends = $wall->between($x0, $x1)->points;
        $walk[] = [$ends[1], $right];
        if (count($ends) === 5) {
            $walk[] = [$ends[2], new Edge('rake-right')];
            $walk[] = [$ends[3], new Edge('rake-left')];
        } else {
            $walk[] = [$ends[2], new Edge('top')];
        }
        $walk[] = [$ends[count($ends) - 1], $left];

        $holes = [];
        $holeOf = [];
        foreach ($wall->openings as $opening) {
            if (! $opening->reachesFoot()) {
                $holeOf[$opening->id] = count($holes);
                $holes[] = $opening->ring($grow);
            }
        }

        return new self(Outline::walk($walk), $holes, $holeOf);
    }

    /** @return list<array{Vec2, Edge}> up the left jamb, over the head, down the right jamb */
    private static function notch(OpeningForm $opening, float $grow): array
    {
        $shape = $opening->shape;
        $by = new Vec2($opening->left, $opening->sill);
        $head = array_reverse($shape->head($shape->width + $grow, -$grow, $grow));
        $walk = [[new Vec2($opening->left - $grow, 0.0), new Edge($opening->id.'-jamb-left', 'opening')]];
        foreach ($head as $i => $point) {
            $walk[] = [$point->plus($by), new Edge($i === count($head) - 1 ? $opening->id.'-jamb-right' : $opening->id.'-head', 'opening')];
        }

        return $walk;
    }
}
