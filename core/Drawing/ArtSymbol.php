<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\FoldedArt;
use Chartula\Core\Part\GlassArt;
use Chartula\Core\Part\PrintedArt;
use Chartula\Core\Part\StackedArt;
use Chartula\Core\Sheets\Bleed;
use LogicException;

/** What is printed on a part, shown where the part is. */
final readonly class ArtSymbol
{
    /** @param  bool  $whole  as if nothing were cut out of the paper */
    public static function of(LabelledPart $part, Artwork $art, bool $whole = false): Symbol
    {
        $box = $part->part->outline->ring->bounds();
        $all = Ring::rectangle($box->x0, $box->y0, $box->x1, $box->y1);

        return new Symbol(
            self::name($part),
            $box->width(),
            $box->height(),
            $whole ? [$all] : self::wound($part->part->region()),
            self::paths($art, $all, $whole ? null : 0.0),
        );
    }

    /**
     * The same for printing: it runs on beyond every cut, so that no white shows where the knife strays. Its corner is that of
     * Bleed::box().
     */
    public static function bleeding(LabelledPart $part, Artwork $art): Symbol
    {
        $box = Bleed::box($part->part);
        $moved = static fn (Ring $r): Ring => $r->moved(-$box->x0, -$box->y0);

        return new Symbol(
            self::name($part),
            $box->width(),
            $box->height(),
            array_map($moved, Bleed::of($part->part)),
            self::paths($art->moved(-$box->x0, -$box->y0), Ring::rectangle(0.0, 0.0, $box->width(), $box->height()), Artwork::BLEED_MM),
        );
    }

    /**
     * What is drawn of it where no part has it.
     *
     * @param  Ring  $all  a box round what it covers
     * @return list<Path>
     */
    public static function drawn(Artwork $art, Ring $all): array
    {
        return self::paths($art, $all, null);
    }

    /** Parts of one shape and one print share it. */
    public static function name(LabelledPart $part): string
    {
        return 'art-'.substr($part->print, 7, 12).'-'.substr($part->cut, 7, 12);
    }

    /** @return non-empty-list<Ring> the outline counter-clockwise, holes clockwise, so that they stay open by the rule that counts turns */
    private static function wound(Region $region): array
    {
        $turned = static fn (Ring $r, float $way): Ring => $r->signedArea() * $way < 0.0 ? new Ring(array_reverse($r->points)) : $r;

        return [$turned($region->outline, 1.0), ...array_map(static fn (Ring $hole): Ring => $turned($hole, -1.0), $region->holes)];
    }

    /** @return list<Path> */
    private static function paths(Artwork $art, Ring $all, ?float $beyond): array
    {
        return match (true) {
            $art instanceof FaceArt => FaceDrawing::paths($art, $all, $beyond),
            $art instanceof PrintedArt => ShapeDrawing::own($art, $all),
            $art instanceof GlassArt => array_merge([], ...array_map(self::onGlass(...), $art->shapes)),
            $art instanceof FoldedArt => self::faces($art, $all),
            $art instanceof StackedArt => self::bands($art, $all),
            default => throw new LogicException('Nothing draws '.$art::class),
        };
    }

    /**
     * Each by itself: where two of them cross, both are there.
     *
     * @param  array{string, list<Ring>}  $shapes
     * @return list<Path>
     */
    private static function onGlass(array $shapes): array
    {
        return array_map(static fn (Ring $r): Path => new Path(Layer::Art, [$r->points], true, null, $shapes[0]), $shapes[1]);
    }

    /** @return list<Path> each row in its band, white where the next one covers it */
    private static function bands(StackedArt $art, Ring $all): array
    {
        $box = $all->bounds();
        $paths = [];
        foreach ($art->faces() as $i => [$at, $face]) {
            $foot = $i === 0 ? $box->y0 : $at->y0;
            array_push($paths, ...self::paths($face, Ring::rectangle($box->x0, $foot, $box->x1, $at->y1), null));
        }

        return $paths;
    }

    /** @return list<Path> each face as far as it is seen, and what lies beyond the first and the last as they are */
    private static function faces(FoldedArt $art, Ring $all): array
    {
        $box = $all->bounds();
        $paths = [];
        foreach ($art->faces as $i => $face) {
            $from = $i === 0 ? $box->x0 : max($box->x0, $face->ends()[0]);
            $to = $i === count($art->faces) - 1 ? $box->x1 : min($box->x1, $face->ends()[1]);
            array_push($paths, ...$to > $from ? self::paths($face, Ring::rectangle($from, $box->y0, $to, $box->y1), null) : []);
        }

        return $paths;
    }
}
