<?php

declare(strict_types=1);

namespace Chartula\Core\Mockup;

use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * Lays faces flat beside each other along the edges they share, as long as they do not come to lie on each other and the
 * piece fits a page; what is left begins another piece. docs/formulas.md#nets
 */
final class Unfolding
{
    private const ON_EACH_OTHER_MM2 = 0.05;

    /** @var array<int, array{Vec2, Vec2, Vec2}> origin and axes on the paper of each face that is laid, by face */
    private array $laid = [];

    /** @var array<string, true> edges that are folds, by face and edge */
    private array $folded = [];

    /**
     * @param  list<Face>  $faces
     * @param  float  $width  of the room on a page, with what tabs need taken off
     */
    public function __construct(
        private readonly array $faces,
        private readonly float $width,
        private readonly float $height,
    ) {
    }

    /**
     * @param  int  $number  of the first joined pair of edges, for their names
     * @return list<Net>
     */
    public function nets(string $name, int &$number): array
    {
        $pieces = [];
        foreach (array_keys($this->faces) as $i) {
            if (! isset($this->laid[$i])) {
                $pieces[] = $this->piece($i);
            }
        }
        $shared = $this->joined($number);
        $nets = [];
        foreach ($pieces as $k => $members) {
            $nets[] = $this->net($name.(count($pieces) > 1 ? ' '.($k + 1) : ''), $members, $shared);
        }

        return $nets;
    }

    /** @return list<int> */
    private function piece(int $first): array
    {
        $this->laid[$first] = [new Vec2(0.0, 0.0), new Vec2(1.0, 0.0), new Vec2(0.0, 1.0)];
        $members = [$first];
        for ($k = 0; $k < count($members); $k++) {
            foreach (array_keys($this->faces[$members[$k]]->ring->points) as $edge) {
                $next = $this->across($members[$k], $edge);
                if ($next === null || isset($this->laid[$next[0]])) {
                    continue;
                }
                $place = $this->beside($members[$k], $edge, $next[0], $next[1]);
                if ($this->hasRoom($members, $next[0], $place)) {
                    $this->laid[$next[0]] = $place;
                    $members[] = $next[0];
                    $this->folded["$members[$k]/$edge"] = true;
                    $this->folded["$next[0]/$next[1]"] = true;
                }
            }
        }

        return $members;
    }

    /** @return ?array{int, int} the face on the other side of an edge, and which of its edges that is */
    private function across(int $face, int $edge): ?array
    {
        [$a, $b] = $this->faces[$face]->edge($edge);
        if ($a->distanceTo($b) < Tolerance::COVER) {
            return null;
        }
        foreach ($this->faces as $j => $other) {
            foreach ($j === $face ? [] : array_keys($other->ring->points) as $i) {
                [$c, $d] = $other->edge($i);
                if ($a->distanceTo($d) < Tolerance::COVER && $b->distanceTo($c) < Tolerance::COVER) {
                    return [$j, $i];
                }
            }
        }

        return null;
    }

    /** @return array{Vec2, Vec2, Vec2} */
    private function beside(int $face, int $edge, int $next, int $its): array
    {
        [$p, $q] = [
            $this->on($face, $this->faces[$face]->ring->point($edge)),
            $this->on($face, $this->faces[$face]->ring->point($edge + 1)),
        ];
        $ring = $this->faces[$next]->ring;
        [$r, $s] = [$ring->point($its), $ring->point($its + 1)];
        // Its edge runs from q to p.
        $along = $p->minus($q)->times(1.0 / $p->distanceTo($q));
        $own = $s->minus($r)->times(1.0 / $r->distanceTo($s));
        [$cos, $sin] = [$own->dot($along), $own->cross($along)];
        $x = new Vec2($cos, $sin);
        $y = new Vec2(-$sin, $cos);

        return [$q->minus($x->times($r->x))->minus($y->times($r->y)), $x, $y];
    }

    private function on(int $face, Vec2 $p): Vec2
    {
        [$o, $x, $y] = $this->laid[$face];

        return $o->plus($x->times($p->x))->plus($y->times($p->y));
    }

    /** @param  array{Vec2, Vec2, Vec2}  $place */
    private static function placed(Ring $ring, array $place): Ring
    {
        [$o, $x, $y] = $place;

        return new Ring(array_map(static fn (Vec2 $p): Vec2 => $o->plus($x->times($p->x))->plus($y->times($p->y)), $ring->points));
    }

    /**
     * @param  list<int>  $members
     * @param  array{Vec2, Vec2, Vec2}  $place
     */
    private function hasRoom(array $members, int $next, array $place): bool
    {
        $ring = self::placed($this->faces[$next]->ring, $place);
        $points = $ring->points;
        foreach ($members as $member) {
            $other = self::placed($this->faces[$member]->ring, $this->laid[$member]);
            if (Clip::sharedArea(new Region($ring), new Region($other)) > self::ON_EACH_OTHER_MM2) {
                return false;
            }
            array_push($points, ...$other->points);
        }
        $box = Box2::around($points);

        return ($box->width() <= $this->width && $box->height() <= $this->height)
            || ($box->width() <= $this->height && $box->height() <= $this->width);
    }

    /**
     * Edges that meet but are not folds: each pair has a name, one has the tab.
     *
     * @return array<string, array{string, bool}> by face and edge: the name, and whether the tab is there
     */
    private function joined(int &$number): array
    {
        $joined = [];
        foreach ($this->faces as $i => $face) {
            foreach (array_keys($face->ring->points) as $edge) {
                $other = isset($this->folded["$i/$edge"]) || isset($joined["$i/$edge"]) ? null : $this->across($i, $edge);
                if ($other !== null) {
                    $name = (string) ++$number;
                    $joined["$i/$edge"] = [$name, true];
                    $joined["$other[0]/$other[1]"] = [$name, false];
                } elseif (
                    ! isset($this->folded["$i/$edge"])
                    && ! isset($joined["$i/$edge"])
                    && (
                        $face->labels[$edge] === 'top'
                        || (Side::isOfKind($face->labels[$edge], SideKind::Plane) && $face->frame->y->z > 0.999)
                    )
                ) {
                    // The top of a wall is stuck under the roof.
                    $joined["$i/$edge"] = ['roof', true];
                }
            }
        }

        return $joined;
    }

    /**
     * @param  list<int>  $members
     * @param  array<string, array{string, bool}>  $joined
     */
    private function net(string $name, array $members, array $joined): Net
    {
        $faces = $folds = $mates = [];
        foreach ($members as $i) {
            $face = $this->faces[$i];
            $faces[] = [
                'name' => $face->name,
                'ring' => self::placed($face->ring, $this->laid[$i]),
                'drawn' => array_map(fn (Ring $r): Ring => self::placed($r, $this->laid[$i]), $face->drawn),
            ];
        }
        $tabs = new Tabs(array_column($faces, 'ring'));
        foreach ($members as $i) {
            foreach (array_keys($this->faces[$i]->ring->points) as $edge) {
                [$from, $to] = [
                    $this->on($i, $this->faces[$i]->ring->point($edge)),
                    $this->on($i, $this->faces[$i]->ring->point($edge + 1)),
                ];
                $across = isset($this->folded["$i/$edge"]) ? $this->across($i, $edge) : null;
                if ($across !== null && $i < $across[0]) {
                    [$fold, $degrees] = $this->turn($i, $across[0]);
                    $folds[] = ['from' => $from, 'to' => $to, 'fold' => $fold, 'degrees' => $degrees];
                }
                [$pair, $hasTab] = $joined["$i/$edge"] ?? [null, false];
                if ($pair !== null && ! ($hasTab && $tabs->add($from, $to, $pair))) {
                    $mates[] = ['from' => $from, 'to' => $to, 'name' => $pair.($hasTab ? ', tape' : '')];
                }
            }
        }

        return new Net($name, $faces, $folds, $tabs->all(), $mates);
    }

    /** @return array{'away'|'toward', float} how the second face stands to the first, seen from outside */
    private function turn(int $one, int $other): array
    {
        [$a, $b] = [$this->faces[$one], $this->faces[$other]];
        $degrees = rad2deg(acos(max(-1.0, min(1.0, $a->frame->normal->dot($b->frame->normal)))));
        $heights = array_map(static fn (Vec2 $p): float => $a->frame->height($b->frame->at($p)), $b->ring->points);
        $furthest = array_reduce($heights, static fn (float $h, float $x): float => abs($x) > abs($h) ? $x : $h, 0.0);

        return [$furthest > 0.0 ? 'toward' : 'away', $degrees];
    }
}
