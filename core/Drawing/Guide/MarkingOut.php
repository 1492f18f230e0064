<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;

/**
 * Every part that is cut from card, to be marked out by rule and square where nothing is printed: each corner by how far it lies to the
 * right of the part's left end and above its foot, to half a millimetre.
 */
final readonly class MarkingOut
{
    /** To what it is rounded. docs/formulas.md#marking-out */
    private const STEP_MM = 0.5;

    /** A corner that turns by less is a point of a curve. */
    private const CURVE_DEG = 12.0;

    /** @return list<Picture> */
    public static function of(Kit $kit): array
    {
        $cards = array_filter($kit->parts, static fn (LabelledPart $p): bool => $p->part->stock->takesTemplate());

        return array_values(array_map(self::picture(...), $cards));
    }

    private static function picture(LabelledPart $labelled): Picture
    {
        $part = $labelled->part;
        $blank = $part->blank();
        $corners = array_merge(...array_map(self::corners(...), $blank->rings()));
        $box = $blank->outline->bounds();
        $words = [
            $part->stock->words().($part->qty() > 1 ? ', '.$part->qty().' pieces' : '').', seen from '
                .($part->shape->isFlat() ? 'its outside' : 'its face'),
        ];
        if (count($corners) < array_sum(array_map(static fn (Ring $r): int => $r->count(), $blank->rings()))) {
            $words[] = 'Curves: ends and top are given; draw them through these.';
        }
        if ($part->scores !== []) {
            $words[] = 'Dotted: score and fold.';
        }
        $picture = new Picture("$labelled->label  $part->name", $words);
        foreach ($blank->rings() as $ring) {
            $picture->ring($ring->points);
        }
        foreach ($part->scores as $score) {
            $picture->dotted([$score->from, $score->to]);
            array_push($corners, $score->from, $score->to);
        }
        foreach ($corners as $corner) {
            $picture->across($corner->x, self::rounded($corner->x - $box->x0));
            $picture->up($corner->y, self::rounded($corner->y - $box->y0));
        }

        return $picture;
    }

    /**
     * Where a ring turns, and the highest point of what curves.
     *
     * @return non-empty-list<Vec2>
     */
    private static function corners(Ring $ring): array
    {
        $corners = [];
        $top = $ring->points[0];
        foreach ($ring->points as $i => $p) {
            $in = $p->minus($ring->point($i - 1));
            $out = $ring->point($i + 1)->minus($p);
            if (abs(rad2deg(atan2($in->cross($out), $in->dot($out)))) > self::CURVE_DEG) {
                $corners[] = $p;
            }
            $top = $p->y > $top->y ? $p : $top;
        }

        return [...$corners, $top];
    }

    private static function rounded(float $mm): string
    {
        $mm = round($mm / self::STEP_MM) * self::STEP_MM;

        return rtrim(rtrim(number_format($mm, 1, '.', ''), '0'), '.');
    }
}
