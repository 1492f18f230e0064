<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;

/** What stands by itself, from its front and from its right: every card that is seen there by its label, and each part in words. */
final readonly class ThingPictures
{
    private const PAPER = '#fbfaf6';

    /** A line of words is no longer than so many letters. */
    private const LINE = 58;

    /** No card is larger. */
    private const FAR_MM2 = 1e9;

    /** Two ways that turn by no more than this, as one less the cosine, are the same. */
    private const SAME = 0.001;

    /** What looks farther away than that is not seen. */
    private const TURNED = 0.05;

    /** @return list<Picture> */
    public static function of(Kit $kit, Things $things): array
    {
        $pictures = [];
        foreach ($things->parts as $key => $parts) {
            $front = self::front($parts);
            $name = self::called($kit, $key) ?? self::prefix($parts);
            array_push($pictures, ...$front === null ? [] : [
                self::picture("$name, from its front", $front, $parts, self::words($parts, self::prefix($parts))),
                self::picture("$name, from its right", $front->x, $parts, []),
            ]);
        }

        return $pictures;
    }

    /** What people call it, with its block where there are several. */
    private static function called(Kit $kit, string $key): ?string
    {
        foreach ($kit->form->blocks as $block) {
            foreach ($block->block->features as $feature) {
                if ("{$block->block->id}.$feature->id" === $key) {
                    $called = $block->block->called($feature);

                    return count($kit->form->blocks) > 1 ? "{$block->block->name}, $called" : ucfirst($called);
                }
            }
        }

        return null;
    }

    /**
     * The way its front looks, or where none is called so its largest upright card, as a frame whose x goes to its right.
     *
     * @param  non-empty-list<LabelledPart>  $parts
     */
    private static function front(array $parts): ?Frame
    {
        $front = null;
        $most = 0.0;
        foreach ($parts as $labelled) {
            $normal = $labelled->part->placements[0]->normal;
            $area = $labelled->part->region()->area() + (str_contains($labelled->part->name, 'front') ? self::FAR_MM2 : 0.0);
            if (self::isCard($labelled->part) && abs($normal->z) < self::SAME && $area > $most) {
                [$most, $front] = [$area, self::elevation($normal)];
            }
        }

        return $front;
    }

    private static function isCard(Part $part): bool
    {
        return $part->group !== PartGroup::Skin && $part->shape->isFlat();
    }

    /** A plane that looks one way, upright: x to the right as it is seen, y up. */
    private static function elevation(Vec3 $normal): Frame
    {
        return new Frame(new Vec3(0.0, 0.0, 0.0), new Vec3(-$normal->y, $normal->x, 0.0), new Vec3(0.0, 0.0, 1.0));
    }

    /**
     * @param  Frame|Vec3  $from  as a frame, or the way it is looked from
     * @param  non-empty-list<LabelledPart>  $parts
     * @param  list<string>  $words
     */
    private static function picture(string $title, Frame|Vec3 $from, array $parts, array $words): Picture
    {
        $plane = $from instanceof Frame ? $from : self::elevation($from);
        $seen = [];
        foreach ($parts as $labelled) {
            foreach (self::isCard($labelled->part) ? $labelled->part->placements : [] as $frame) {
                $ring = self::seen($labelled->part, $frame, $plane);
                array_push($seen, ...$ring === null ? [] : [[$plane->height($frame->origin), $ring, $labelled->label]]);
            }
        }
        usort($seen, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $picture = new Picture($title, $words);
        foreach ($seen as [, $ring, $label]) {
            $picture->ring($ring, self::PAPER);
            $picture->up(Box2::around($ring)->centre()->y, $label);
        }

        return $picture;
    }

    /**
     * A card that looks that way, or lies level and shows its edge.
     *
     * @return ?non-empty-list<Vec2>
     */
    private static function seen(Part $part, Frame $frame, Frame $plane): ?array
    {
        $on = static fn (Vec2 $p, float $out = 0.0): Vec2 => $plane->project($frame->at($p, $out));
        if ($frame->normal->dot($plane->normal) > self::TURNED) {
            return array_map($on, $part->outline->ring->points);
        }
        if (abs($frame->normal->z) < 1.0 - self::SAME) {
            return null;
        }
        $box = Box2::around([
            ...array_map($on, $part->outline->ring->points),
            ...array_map(static fn (Vec2 $p): Vec2 => $on($p, -$part->thickness), $part->outline->ring->points),
        ]);

        return [new Vec2($box->x0, $box->y0), new Vec2($box->x1, $box->y0), new Vec2($box->x1, $box->y1), new Vec2($box->x0, $box->y1)];
    }

    /**
     * What all of its parts are called alike, as far as the last comma.
     *
     * @param  non-empty-list<LabelledPart>  $parts
     */
    private static function prefix(array $parts): string
    {
        $names = array_map(static fn (LabelledPart $p): array => explode(', ', $p->part->name), $parts);
        $common = $names[0];
        foreach ($names as $name) {
            $common = array_slice($common, 0, count($name) - 1);
            foreach ($common as $i => $word) {
                $common = ($name[$i] ?? '') === $word ? $common : array_slice($common, 0, $i);
            }
        }

        return $common === [] ? $names[0][0] : implode(', ', $common);
    }

    /**
     * @param  non-empty-list<LabelledPart>  $parts
     * @return list<string> every part by its label and what it is, a few to a line
     */
    private static function words(array $parts, string $prefix): array
    {
        $lines = [''];
        foreach ($parts as $labelled) {
            $what = trim(substr($labelled->part->name, strlen($prefix)), ', ');
            $count = $labelled->part->qty() > 1 ? " ({$labelled->part->qty()})" : '';
            $word = "$labelled->label $what$count";
            $last = array_key_last($lines);
            if ($lines[$last] !== '' && mb_strlen("$lines[$last]; $word") > self::LINE) {
                $lines[] = $word;
            } else {
                $lines[$last] = $lines[$last] === '' ? $word : "$lines[$last]; $word";
            }
        }

        return $lines;
    }
}
