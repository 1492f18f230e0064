<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\Facet;

/**
 * Writes the kit as it stands, each piece with its real thickness, as an OBJ model: an object a piece, in the group of its
 * part. Model millimetres, z up. Faces run counter-clockwise seen from outside the card.
 */
final readonly class ObjWriter
{
    /** @param  array<string, mixed>  $kit  serialised */
    public static function write(array $kit): string
    {
        $assembly = Assembly::of($kit);
        $obj = '# '.self::comment($assembly->kit->child('building')->text('name')).", model millimetres, z up\n";
        $count = 0;
        foreach ($assembly->pieces as $piece) {
            $obj .= 'o '.self::name($piece->part->id.'_'.($piece->copy + 1))."\ng ".self::name($piece->part->group)."\n";
            foreach ($piece->facets as $facet) {
                [$text, $used] = self::solid($facet, $count);
                $obj .= $text;
                $count += $used;
            }
        }

        return $obj;
    }

    /** @return array{string, int} lines, and how many corners they define */
    private static function solid(Facet $facet, int $before): array
    {
        $lines = '';
        $corners = 0;
        $add = static function (Vec2 $point, float $out) use ($facet, $before, &$lines, &$corners): int {
            $lines .= self::vertex($facet->frame->at($point, $out));

            return $before + (++$corners);
        };
        $faces = '';
        $tiles = $facet->region->trapezoids();
        foreach ($tiles as $ring) {
            $faces .= 'f '.implode(' ', array_map(static fn (Vec2 $p): int => $add($p, 0.0), $ring->points))."\n";
        }
        foreach ($facet->inside === null ? $tiles : $facet->face('inside')->trapezoids() as $ring) {
            $faces .= 'f '
                .implode(' ', array_map(static fn (Vec2 $p): int => $add($p, -$facet->thickness), array_reverse($ring->points)))
                ."\n";
        }
        $inside = $facet->face('inside')->rings();
        foreach ($facet->region->rings() as $i => $ring) {
            $top = array_map(static fn (Vec2 $p): int => $add($p, 0.0), $points = self::turning($ring, $i === 0));
            $bottom = array_map(static fn (Vec2 $p): int => $add($p, -$facet->thickness), self::turning($inside[$i], $i === 0));
            foreach (array_keys($points) as $k) {
                $next = ($k + 1) % count($points);
                $faces .= "f {$top[$k]} {$bottom[$k]} {$bottom[$next]} {$top[$next]}\n";
            }
        }

        return [$lines.$faces, $corners];
    }

    /**
     * Counter-clockwise for an outline, clockwise for a hole.
     *
     * @return non-empty-list<Vec2>
     */
    private static function turning(Ring $ring, bool $counterClockwise): array
    {
        return ($ring->signedArea() > 0.0) === $counterClockwise ? $ring->points : array_reverse($ring->points);
    }

    private static function vertex(Vec3 $p): string
    {
        return sprintf("v %.4F %.4F %.4F\n", $p->x, $p->y, $p->z);
    }

    /** Writes a name without white space, at which a name in OBJ ends. */
    private static function name(string $text): string
    {
        return (string) preg_replace('/[^A-Za-z0-9._-]+/', '_', $text);
    }

    private static function comment(string $text): string
    {
        return (string) preg_replace('/[\x00-\x1f\x7f\\\\]+/', ' ', $text);
    }
}
