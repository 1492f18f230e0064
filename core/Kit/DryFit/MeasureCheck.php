<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Measure\Workings;

/** Every part measures what its workings say, stands as often as it is cut, and roof panels lie in their slopes. */
final class MeasureCheck
{
    /** @var list<Finding> */
    private array $findings = [];

    public function __construct(private readonly Assembly $assembly)
    {
    }

    /** @return list<Finding> */
    public function all(): array
    {
        $pieces = 0;
        foreach ($this->assembly->parts as $part) {
            $pieces += $part->qty;
            if (count($part->placements) !== $part->qty) {
                $this->add(
                    'placement.count',
                    $part->id,
                    sprintf('%s is cut %d times and placed %d times', $part->id, $part->qty, count($part->placements)),
                );
            }
            foreach ($part->placements as $frame) {
                $this->axes($part, $frame);
            }
            $this->workings($part);
            $this->register($part);
            $this->underside($part);
        }
        $total = $this->assembly->kit->child('totals')->whole('parts');
        if ($total !== $pieces) {
            $this->add('totals.parts', 'totals', "The kit counts $total pieces and holds $pieces");
        }

        return $this->findings;
    }

    private function add(string $code, string $at, string $text, float $mm = 0.0): void
    {
        $this->findings[] = new Finding($code, $at, $text, $mm);
    }

    private function axes(KitPart $part, Frame $frame): void
    {
        $off = max(abs($frame->x->length() - 1.0), abs($frame->y->length() - 1.0), abs($frame->x->dot($frame->y)));
        if ($off > Tolerance::UNIT) {
            $this->add('placement.axes', $part->id, "$part->id is placed on axes that are not square");
        }
    }

    private function workings(KitPart $part): void
    {
        $box = $part->blank->outline->bounds();
        $sizes = ['width' => $box->width(), 'height' => $box->height()];
        foreach ($part->workings as $figure) {
            $sum = $figure['sum'];
            if (abs($sum - $figure['mm']) > Tolerance::MEET) {
                $this->add(
                    'workings.sum',
                    $part->id,
                    sprintf('The sum for the %s of %s gives %.3f mm, not %.3f mm', $figure['of'], $part->id, $sum, $figure['mm']),
                    abs($sum - $figure['mm']),
                );
            }
            $size = $sizes[$figure['of']] ?? null;
            if ($size !== null && abs($size - $sum) > Tolerance::MEET) {
                $this->add(
                    'workings.size',
                    $part->id,
                    sprintf('%s has a %s of %.3f mm; its sum gives %.3f mm', $part->id, $figure['of'], $size, $sum),
                    abs($size - $sum),
                );
            }
        }
    }

    /** Every piece of a set is cut from its strip, none from another's place, and lies on the body. */
    private function register(KitPart $part): void
    {
        foreach ($part->register as $i => [$ring, $at]) {
            $off = $ring->area() - Clip::sharedArea(new Region($ring), $part->blank);
            if ($off > Tolerance::OVERLAP) {
                $this->add('set.strip', $part->id, sprintf('Piece %d of %s is not on its strip', $i + 1, $part->id), $off);
            }
            $place = $ring->moved($at->x - $ring->bounds()->x0, $at->y - $ring->bounds()->y0);
            $beyond = $ring->area() - Clip::sharedArea(new Region($place), $part->region);
            if ($beyond > Tolerance::OVERLAP) {
                $this->add('set.body', $part->id, sprintf('Piece %d of %s does not lie on its body', $i + 1, $part->id), $beyond);
            }
        }
        $this->twice($part);
    }

    /** Each is asked of those alone that do not lie all over it: of thousands of slates few are near each other. */
    private function twice(KitPart $part): void
    {
        $boxes = array_map(static fn (array $piece): Box2 => $piece[0]->bounds(), $part->register);
        uasort($boxes, static fn (Box2 $a, Box2 $b): int => $a->y0 <=> $b->y0);
        $order = array_keys($boxes);
        foreach ($order as $k => $i) {
            for ($n = $k + 1; isset($order[$n]) && $boxes[$order[$n]]->y0 < $boxes[$i]->y1; $n++) {
                $other = $order[$n];
                if ($boxes[$i]->shared($boxes[$other]) === null) {
                    continue;
                }
                $shared = Clip::sharedArea(new Region($part->register[$i][0]), new Region($part->register[$other][0]));
                if ($shared > Tolerance::OVERLAP) {
                    $text = sprintf('Piece %d of %s is cut from another piece', max($i, $other) + 1, $part->id);
                    $this->add('set.twice', $part->id, $text, $shared);
                }
            }
        }
    }

    private function underside(KitPart $part): void
    {
        if ($part->underside === []) {
            return;
        }
        // The card lies in its slope, and nowhere beyond the lines in which it meets others.
        $frame = $part->placements[0]->moved(0.0, 0.0, -$part->thickness);
        $slope = array_map(static fn (Vec3 $p): Vec2 => $frame->project($p), $part->underside);
        $off = max(array_map(static fn (Vec3 $p): float => abs($frame->height($p)), $part->underside));
        $ring = new Ring($slope);
        foreach (($part->inside ?? $part->region->outline)->points as $point) {
            $off = max($off, $ring->contains($point) ? 0.0 : $ring->distanceTo($point));
        }
        if ($off > Tolerance::MEET) {
            $this->add('roof.underside', $part->id, sprintf('%s lies %.3f mm off its slope', $part->id, $off), $off);
        }
    }
}
