<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\FreeEdge;
use Chartula\Core\Kit\DryFit\JointMeasure;
use Chartula\Core\Kit\DryFit\KitShape;
use Chartula\Core\Kit\DryFit\Piece;
use Chartula\Core\Kit\DryFit\Report;
use Chartula\Core\Kit\DryFit\Side;

/**
 * The dry fit as a page: each joint with its figures and a drawing of it, worst first, and each edge that is free. A joint
 * is drawn on the face of the part that is met: that part's outline, where the other stands on it, and the line of contact.
 */
final readonly class DryFitView
{
    /**
     * @param  array<string, mixed>  $kit  serialised
     * @return array<string, mixed>
     */
    public static function of(array $kit, Report $report): array
    {
        $assembly = Assembly::of($kit);
        $joints = [];
        foreach ($assembly->kit->children('joints') as $joint) {
            $joints[$joint->text('id')] = $joint;
        }

        return $report->toArray() + [
            'measures' => array_map(
                static fn (JointMeasure $m): array => $m->toArray() + ['drawing' => self::drawing($assembly, $joints[$m->id])],
                $report->measures,
            ),
            'free' => array_map(static fn (FreeEdge $e): array => $e->toArray(), $report->free),
        ];
    }

    /** @return ?array{met: list<list<array{float, float}>>, stands: list<list<array{float, float}>>, contact: list<array{float, float}>} */
    private static function drawing(Assembly $assembly, KitShape $joint): ?array
    {
        $a = Side::read($joint->child('a'));
        $b = Side::read($joint->child('b'));
        $one = $assembly->pieces[$a->key()] ?? null;
        $other = $assembly->pieces[$b->key()] ?? null;
        if ($one === null || $other === null) {
            return null;
        }
        $plane = $other->frame;

        return [
            'met' => array_map(static fn (Ring $r): array => $r->toArray(), $other->part->region->rings()),
            'stands' => [self::standing($one, $a, $plane)],
            'contact' => array_map(static fn (Vec3 $p): array => $plane->project($p)->toArray(), $joint->points3('contact')),
        ];
    }

    /**
     * Where the one stands on the other's face: its edge's strip, or the whole of it where a face or an outline meets.
     *
     * @return list<array{float, float}>
     */
    private static function standing(Piece $one, Side $side, Frame $plane): array
    {
        if ($side->edge === null) {
            return array_map(
                static fn (Vec2 $p): array => $plane->project($one->frame->at($p))->toArray(),
                $one->part->region->outline->points,
            );
        }
        [$p, $q, $r, $s] = $one->strip($side->edge, $side->hole);

        return array_map(static fn (Vec3 $corner): array => $plane->project($corner)->toArray(), [$p, $q, $s, $r]);
    }
}
