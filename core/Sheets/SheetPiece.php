<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Building\Template;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Packing\Piece;
use Chartula\Core\Packing\Place;
use Chartula\Core\Packing\Shape;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Problem\Check;
use Chartula\Core\Stock\Stock;

/** A part as it is packed: with room round it for what is printed beyond its cut, and below it for its name. */
final readonly class SheetPiece
{
    /** So much room a line of words takes below a piece. */
    private const NAME_MM = 2.95;

    /** A piece smaller than this has no room for its name. */
    private const SMALL_MM = 14.0;

    /** A strip is no wider than this, and so many times longer at the least. */
    private const STRIP_MM = 15.0;

    private const LONG = 4.0;

    /** What is no longer than this is tiny. */
    private const TINY_MM = 15.0;

    private const ANY = [90, 180, 270];

    /** Where courses or grain keep their direction. */
    private const ALONG = [180];

    /** Kept round it, mm. */
    private float $rim;

    /** Below it, mm. */
    private float $name;

    /** What is cut, upright. */
    private Box2 $blank;

    /** What is cut and what of it is printed beyond, upright, from the lower left of what is cut. */
    private Box2 $kept;

    /**
     * @param  float  $gap  between two cuts
     * @param  bool  $isAcross  whether a paper may be turned across its grain, since no page takes it otherwise
     */
    public function __construct(public LabelledPart $part, private float $gap, private bool $isMirrored, private bool $isAcross = false)
    {
        $this->blank = $part->part->blank()->outline->bounds();
        $this->kept = $this->kept(0)->outline->bounds();
        $isSmall = min($part->part->width(), $part->part->height()) < self::SMALL_MM;
        $isPrinted = $part->part->art !== null;
        $this->rim = max(self::keepsHalf($part->part->stock) ? $gap / 2.0 : 0.0, $isPrinted ? Artwork::BLEED_MM : 0.0);
        $this->name = match (true) {
            $isPrinted || $isSmall || $part->part->showsPrint() || $part->part->group === PartGroup::Trim => self::NAME_MM,
            default => 0.0,
        };
    }

    /** The same, as it may lie across its grain. */
    public function across(): self
    {
        return new self($this->part, $this->gap, $this->isMirrored, true);
    }

    /** Whether its template is stuck to the back. Where what it shows is to be seen, as a door's planks are, it goes on the outside. */
    public static function isMirrored(Part $part, Template $template): bool
    {
        return $part->stock->takesTemplate() && $template->side === 'back' && ! $part->showsPrint();
    }

    /** What it takes of a page at the least: of a rectangle its margin too, of anything else what is cut out. */
    public function leastArea(float $gap): float
    {
        $blank = Bleed::kept($this->part->part);
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
        return min($this->blank->width(), $this->blank->height());
    }

    /** Whether it is soon lost on a bench. */
    public function isTiny(): bool
    {
        return $this->length() <= self::TINY_MM;
    }

    /** Whether it is a long narrow piece of card that lies as well along the page as across. */
    public function isStrip(): bool
    {
        return $this->part->part->mayTurn && $this->rim === 0.0 && $this->part->part->holes === []
            && $this->least() <= self::STRIP_MM && $this->length() >= self::LONG * $this->least();
    }

    /** Strips of one gauge are of one width, to a twentieth of a millimetre. */
    public function gauge(): int
    {
        return (int) round(20.0 * $this->least());
    }

    public function length(): float
    {
        return max($this->blank->width(), $this->blank->height());
    }

    /** @return array{float, float} what it takes with its name below it, where its longer side lies along the page's foot or stands */
    public function size(bool $lies): array
    {
        [$along, $across] = $lies ? [$this->length(), $this->least()] : [$this->least(), $this->length()];

        return [$along, $across + $this->name];
    }

    /** Where a strip lies of which the lower left of what it takes is known. */
    public function at(bool $lies, int $copy, float $x, float $y): PlacedPart
    {
        $turn = $lies === ($this->blank->width() >= $this->blank->height()) ? 0 : 90;

        return new PlacedPart($this->part, $copy, $x, $y + $this->name, $turn, $this->isMirrored);
    }

    /** @param  float  $hole  nothing is put into openings narrower than this */
    public function piece(int $copy, float $hole, Effort $effort): Piece
    {
        $isOutlined = $effort !== Effort::Quick;
        $turns = [0 => $isOutlined ? $this->outlined(0, $hole) : $this->box(0)];
        foreach ($this->part->part->mayTurn || $this->isAcross ? self::ANY : self::ALONG as $turn) {
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

        $corner = $this->turned($turn);

        return new PlacedPart(
            $this->part,
            $copy,
            $x + $place->x + $this->rim - $corner->x0,
            $y + $place->y + $this->rim + $this->name - $corner->y0,
            $turn,
            $this->isMirrored,
        );
    }

    /** What is said of a part that no page takes. */
    public function tooLarge(Page $page): Check
    {
        $part = $this->part->part;
        $size = Bleed::kept($part)->outline->bounds();
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

    /** What is said of a paper that only lies on a page across its grain. */
    public function liesAcross(): Check
    {
        return new Check('paper.across', Check::NOTE, $this->part->part->id, sprintf(
            '%s %s is longer than a page is wide, and lies across the grain of its paper: score its folds, or they crack.',
            $this->part->label,
            $this->part->part->name,
        ));
    }

    /** @param  0|90|180|270  $turn */
    private function box(int $turn): Shape
    {
        $kept = $this->turned($turn);

        return Shape::box($kept->width() + 2.0 * $this->rim, $kept->height() + 2.0 * $this->rim + $this->name);
    }

    /**
     * Where all that it keeps lies when its blank's lower left is at the origin.
     *
     * @param  0|90|180|270  $turn
     */
    private function turned(int $turn): Box2
    {
        [$kept, $width, $height] = [$this->kept, $this->blank->width(), $this->blank->height()];

        return match ($turn) {
            0 => $kept,
            90 => new Box2($height - $kept->y1, $kept->x0, $height - $kept->y0, $kept->x1),
            180 => new Box2($width - $kept->x1, $height - $kept->y1, $width - $kept->x0, $height - $kept->y0),
            270 => new Box2($kept->y0, $width - $kept->x1, $kept->y1, $width - $kept->x0),
        };
    }

    /** @param  0|90|180|270  $turn */
    private function outlined(int $turn, float $hole): Shape
    {
        $kept = $this->kept($turn);
        $regions = [$this->rim > 0.0 ? new Region($kept->outline) : $kept];
        if ($this->name > 0.0) {
            $box = $kept->outline->bounds();
            $regions[] = new Region(Ring::rectangle($box->x0, $box->y0 - $this->name, $box->x1, $box->y0 + min(1.0, $box->height())));
        }

        return Shape::of($regions, $hole, $this->rim);
    }

    /**
     * As it lies when its blank's lower left is at the origin.
     *
     * @param  0|90|180|270  $turn
     */
    private function kept(int $turn): Region
    {
        $placed = new PlacedPart($this->part, 0, 0.0, 0.0, $turn, $this->isMirrored);
        $ring = static fn (Ring $ring): Ring => self::upright(array_map($placed->toSheet(...), $ring->points));
        $kept = Bleed::kept($this->part->part);

        return new Region($ring($kept->outline), array_map($ring, $kept->holes));
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
