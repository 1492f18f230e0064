<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Form\Form;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** A building's front as it is papered, small: how it is known again among others. Millimetres of the picture. */
final readonly class FrontPicture
{
    private const WIDTH = 120.0;

    private const HEIGHT = 56.0;

    private const MARGIN = 4.0;

    private const CARD = '#e6dcc6';

    private const ROOF = '#7d868c';

    private const INK = '#1f2a2e';

    private const PANE = '#a9bac2';

    /** Courses closer together than this on the picture are left to the colour. */
    private const LEAST_COURSE = 0.45;

    public static function of(Building $building, Form $form): Drawing
    {
        $drawing = new Drawing(self::WIDTH, self::HEIGHT, 'The front of '.$building->name);
        $skin = $building->methods->skin;
        $shapes = (new WholeView($building, $form, 'front'))->shapes();
        $all = array_merge(...array_map(static fn (array $s): array => $s['region']->outline->points, $shapes), ...[[]]);
        if ($all === []) {
            return $drawing;
        }
        $own = Box2::around($all);
        [$width, $height] = [self::WIDTH - 2.0 * self::MARGIN, self::HEIGHT - 2.0 * self::MARGIN];
        $scale = min($width / max(1.0, $own->width()), $height / max(1.0, $own->height()));
        $dx = (self::WIDTH - $scale * $own->width()) / 2.0 - $scale * $own->x0;
        $dy = self::MARGIN - $scale * $own->y0;
        $course = $scale * $building->gauge->course_mm / $building->scale->ratio;
        foreach ($shapes as $shape) {
            $on = static fn (Ring $r): Ring => $r->scaled($scale)->moved($dx, $dy);
            $region = new Region($on($shape['region']->outline), array_map($on, $shape['region']->holes));
            self::shape($drawing, $region, $shape['kind'], $shape['colour']);
            if ($course >= self::LEAST_COURSE && str_starts_with($shape['finish'], 'brick-')) {
                self::courses($drawing, $region, $course, $skin->mortar);
            }
        }
        $drawing->line(Layer::Text, new Vec2(0.0, $dy), new Vec2(self::WIDTH, $dy), new Stroke(0.35, self::INK));

        return $drawing;
    }

    private static function fill(?OpeningKind $kind): ?string
    {
        return match ($kind) {
            OpeningKind::Window => '#f4f1e8',
            OpeningKind::Door => '#5b6b62',
            OpeningKind::Open => '#3c4347',
            null => null,
        };
    }

    /** @param  ?string  $covering  the colour of what covers a wall or a slope */
    private static function shape(Drawing $drawing, Region $region, string $kind, ?string $covering): void
    {
        $fill = match (true) {
            $kind === 'pane' => self::PANE,
            $kind === 'roof' => $covering ?? self::ROOF,
            default => self::fill(OpeningKind::tryFrom($kind)) ?? $covering ?? self::CARD,
        };
        $rings = array_map(static fn (Ring $r): array => $r->points, $region->rings());
        $drawing->path(new Path(Layer::Text, $rings, true, new Stroke($kind === 'pane' ? 0.08 : 0.2, self::INK), $fill));
    }

    /** Bed joints across a wall, on the building's datum. */
    private static function courses(Drawing $drawing, Region $region, float $course, string $mortar): void
    {
        $box = $region->outline->bounds();
        for ($y = $box->y0 + $course; $y < $box->y1; $y += $course) {
            [$a, $b] = [new Vec2($box->x0 - 1.0, $y), new Vec2($box->x1 + 1.0, $y)];
            foreach (Clip::inside($a, $b, $region) as [$from, $to]) {
                $drawing->line(Layer::Text, $from, $to, new Stroke(0.08, $mortar));
            }
        }
    }
}
