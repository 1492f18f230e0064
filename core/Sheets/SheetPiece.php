<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Packing\Piece;
use Chartula\Core\Packing\Place;
use Chartula\Core\Packing\Shape;
use Chartula\Core\Part\BrickArt;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Problem\Check;
use Chartula\Core\Stock\Stock;

/** A part as it is packed: with room round it for what is printed beyond its cut, and below it for its name. */
final readonly class SheetPiece
{
    /** So much room a line of words takes below a piece. */
    private const NAME_MM = 2.7;

    /** A piece smaller than this has no room for its name. */
    private const SMALL_MM = 14.0;

    private const ANY = [90, 180, 270];

    /** Where courses or grain keep their direction. */
    private const ALONG = [180];

    /** Kept round it, mm. */
    private float $rim;

    /** Below it, mm. */
    private float $name;

    /** @param  float  $gap  between two cuts */
    public function __construct(public LabelledPart $part, float $gap, private bool $isMirrored)
    {
        $isSmall = min($part->part->width(), $part->part->height()) < self::SMALL_MM;
        $isPrinted = $part->part->art !== null;
        $this->rim = self::keepsHalf($part->part->stock) ? max($gap / 2.0, $isPrinted ? BrickArt::BLEED_MM : 0.0) : 0.0;
        $this->name = match (true) {
            $isPrinted || $isSmall || $part->part->group === PartGroup::Trim => self::NAME_MM,
            default => 0.0,
        };
    }

    /** What it takes of a page at the least: of a rectangle its margin too, of anything else what is cut out. */
    public function leastArea(float $gap): float
    {
        $blank = $this->part->part->blank();
        $box = $blank->outline->bounds();
        $isBox = $box->width() * $box->height() - $blank->area() < Tolerance::FIGURE;
        $around = 2.0 * $this->rim + $gap;

        return $isBox ? ($box->width() + $around) * ($box->height() + $around) : $blank->area();
    }

    /** Whether pieces keep half of the gap each, so that what is printed beyond a cut lies in it, rather than a gap between them. */
    public static function keepsHalf(Stock $stock): bool
    {
        return $stock->kind === 'paper';
    }

    /** The narrower side of what is packed, mm. */
    public function least(): float
    {
        return min($this->part->part->width(), $this->part->part->height());
    }

    /** @param  float  $hole  nothing is put into openings narrower than this */
    public function piece(int $copy, float $hole, Effort $effort): Piece
    {
        $isOutlined = $effort !== Effort::Quick;
        $turns = [0 => $isOutlined ? $this->outlined(0, $hole) : $this->box(0)];
        foreach ($this->part->part->mayTurn ? self::ANY : self::ALONG as $turn) {
            if ($isOutlined || $turn < 180) {
                $shape = $isOutlined ? $this->outlined($turn, $hole) : $this->box($turn);
                $known = array_map(static fn (Shape $s): string => $s->key, $turns);
                $turns += in_array($shape->key, $known, true) ? [] : [$turn => $shape];
            }
        }

        return new Piece($this->part->part->id.'#'.$copy, $turns);
    }

    /** Where the part itself lies, from where the lower left of the bin is on the page. */
    public function placed(Place $place, int $copy, float $x, float $y): PlacedPart
    {
        /** @var 0|90|180|270 $turn */
        $turn = $place->turn;

        return new PlacedPart(
            $this->part,
            $copy,
            $x + $place->x + $this->rim,
            $y + $place->y + $this->rim + $this->name,
            $turn,
            $this->isMirrored,
        );
    }

    /** What is said of a part that no page takes. */
    public function tooLarge(Page $page): Check
    {
        $part = $this->part->part;
        $size = $part->blank()->outline->bounds();
        $mm = static fn (float $mm): string => LengthFormat::millimetres($mm, 1);

        return new Check('part.too-large', Check::STOP, $part->id, sprintf(
            '%s %s (%s × %s) is on no page: one takes %s × %s of it. Choose larger pages, a smaller scale, or make the building in two lengths.',
            $this->part->label,
            $part->name,
            $mm($size->width()),
            $mm($size->height()),
            $mm($page->roomWidth() - 2.0 * $this->rim),
            $mm($page->roomHeight() - 2.0 * $this->rim - $this->name),
        ), max($size->width(), $size->height()));
    }

    /** @param  0|90|180|270  $turn */
    private function box(int $turn): Shape
    {
        $placed = $this->at($turn);

        return Shape::box($placed->width() + 2.0 * $this->rim, $placed->height() + 2.0 * $this->rim + $this->name);
    }

    /** @param  0|90|180|270  $turn */
    private function outlined(int $turn, float $hole): Shape
    {
        $placed = $this->at($turn);
        $ring = static fn (Ring $ring): Ring => self::upright(array_map($placed->toSheet(...), $ring->points));
        $blank = $this->part->part->blank();
        $holes = $this->rim > 0.0 ? [] : array_map($ring, $blank->holes);
        $regions = [new Region($ring($blank->outline), $holes)];
        if ($this->name > 0.0) {
            $regions[] = new Region(Ring::rectangle(0.0, -$this->name, $placed->width(), min(1.0, $placed->height())));
        }

        return Shape::of($regions, $hole, $this->rim);
    }

    /** @param  0|90|180|270  $turn */
    private function at(int $turn): PlacedPart
    {
        return new PlacedPart($this->part, 0, 0.0, 0.0, $turn, $this->isMirrored);
    }

    /**
     * A ring that goes round to the left, mirrored or not.
     *
     * @param  non-empty-list<Vec2>  $points
     */
    private static function upright(array $points): Ring
    {
        $ring = new Ring($points);

        return $ring->signedArea() < 0.0 ? new Ring(array_reverse($points)) : $ring;
    }
}
