<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\BrickBond;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\OwnPalette;
use Chartula\Core\Building\Roof;
use Chartula\Core\Building\Style;
use Chartula\Core\Form\Claims\Masonry;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Part\Pattern\BrickAccents;
use Chartula\Core\Part\Pattern\Bricks;
use Chartula\Core\Part\Pattern\Palette;
use Chartula\Core\Part\Pattern\Pattern;
use Chartula\Core\Part\Pattern\Picture;
use Chartula\Core\Part\Pattern\Rows;
use Chartula\Core\Part\Pattern\Rubble;

/** The coverings of a building, by the finishes that its document names. Real sizes are those of docs/formulas.md#coverings. */
final readonly class Coverings
{
    /** Courses of rubble, from bed to bed, before they come again. */
    private const RUBBLE_MM = [152.4, 190.5, 127.0, 203.2, 165.1, 139.7];

    /** A copy of a picture takes as long to draw as so many bricks. */
    private const DRAWN_AS_BRICKS = 20;

    private float $ratio;

    private function __construct(private Building $building, private ?OwnPalette $palette = null)
    {
        $this->ratio = $building->scale->ratio;
    }

    /**
     * Null where the finish is bare card.
     *
     * @param  ?string  $paper  one of a person's own, in which it is printed
     * @param  ?string  $palette  one of a person's own, whose colours it has
     */
    public static function of(Finish $finish, Building $building, ?string $paper = null, ?string $palette = null): ?Covering
    {
        $pattern = (new self($building, $building->palettes[$palette ?? ''] ?? null))->coloured($finish);
        $own = $building->papers[$paper ?? ''] ?? null;
        $pattern = $own === null ? $pattern : FittedPaper::of($own, $pattern)->pattern;

        return $pattern === null ? null : new Covering($pattern, match (true) {
            $pattern instanceof Bricks => $pattern->brick * $pattern->course,
            $pattern instanceof Rows => self::size($pattern),
            $pattern instanceof Picture => $pattern->isTiled ? $pattern->size[0] * $pattern->size[1] / self::DRAWN_AS_BRICKS : 0.0,
            $pattern instanceof Rubble => $pattern->stone[0] * $pattern->stone[1],
            default => 0.0,
        });
    }

    /** Of a roof's slopes, its rows and units as large as it says; null where it is bare card. */
    public static function ofRoof(Roof $roof, Building $building): ?Covering
    {
        $covering = self::of($roof->finish, $building, palette: $roof->palette);
        $pattern = $covering?->pattern;
        if (! $pattern instanceof Rows || $pattern->long <= 0.0) {
            return $covering;
        }
        $row = $roof->row === null ? null : $building->scale->modelMm($roof->row);
        $unit = $roof->unit === null ? null : $building->scale->modelMm($roof->unit);
        [$rows, $long] = $pattern->isUpright ? [$unit, $row] : [$row, $unit];
        $own = $pattern->with(rows: $rows === null ? $pattern->rows : [$rows], long: $long ?? $pattern->long);

        return new Covering($own, self::size($own));
    }

    /** How large a unit of rows is, mm². */
    private static function size(Rows $rows): float
    {
        return $rows->long * array_sum($rows->rows) / count($rows->rows) / count($rows->across);
    }

    /** Of the sides of an opening, where they are of something else than their wall; null where they are not. */
    public static function ofLining(Style $style, Building $building): ?Covering
    {
        $covering = $style->lining === null ? null : self::of($style->lining, $building);

        return $covering === null || $style->lining_colour === null
            ? $covering
            : new Covering($covering->pattern->inPalette(Palette::of($style->lining_colour), null), $covering->unit);
    }

    /** All of it as one colour: that of most of its units, or of a picture; null where it is bare card. */
    public static function tone(Finish $finish, Building $building, ?string $paper = null, ?string $palette = null): ?string
    {
        return self::of($finish, $building, $paper, $palette)?->pattern->palette()->all()[0];
    }

    private function coloured(Finish $finish): ?Pattern
    {
        [$pattern, $own] = [$this->pattern($finish), $this->palette];
        if ($pattern === null || $own === null) {
            return $pattern;
        }
        $colours = array_map(static fn (array $one): array => [$one[0], (float) $one[1]], $own->colours);
        $isPlain = [$own->diaper, $own->bands, $own->burnt] === [null, null, null];

        return $pattern->inPalette(new Palette(
            $colours === [] ? $pattern->palette()->colours : $colours,
            accents: $isPlain ? null : new BrickAccents($own->diaper, $own->bands, $own->burnt),
        ), $own->joint);
    }

    private function pattern(Finish $finish): ?Pattern
    {
        $bond = $finish->bond();

        return match (true) {
            $finish === Finish::Bare => null,
            $bond !== null => $this->bricks($bond),
            default => $this->stone($finish) ?? $this->boards($finish) ?? $this->sheets($finish) ?? $this->tiles($finish),
        };
    }

    private function bricks(BrickBond $bond): Bricks
    {
        [$gauge, $skin] = [$this->building->gauge, $this->building->methods->skin];

        return new Bricks(
            $bond, $gauge->brick_mm / $this->ratio, $gauge->course_mm / $this->ratio, $this->joint($gauge->joint_mm),
            Palette::of($skin->brick), $skin->mortar, $skin->runsThrough,
        );
    }

    private function stone(Finish $finish): ?Pattern
    {
        $palette = new Palette([[Tone::STONE, 0.6], [Shade::of(Tone::STONE, 0.08), 0.2], [Shade::of(Tone::STONE, -0.1), 0.2]]);
        $four = 4.0 * $this->building->gauge->course_mm;

        return match ($finish) {
            // Its courses are four of bricks, so that both meet.
            Finish::StoneAshlar => $this->rows($finish, [$four], [2.0 * $four, 5.0, 5.0], [$palette, Tone::STONE_JOINT])
                ->with(varies: 0.125, breaks: true),
            Finish::StoneCoursed => $this->rows($finish, self::RUBBLE_MM, [279.4, 12.0, 12.0], [$palette, Tone::STONE_JOINT])
                ->with(varies: 0.125, breaks: true),
            Finish::StoneRandom => $this->rubble($finish, 0.0, $palette),
            Finish::StoneBrought => $this->rubble($finish, 381.0, $palette),
            Finish::Render => $this->rows($finish, [3048.0], [0.0, 0.0, 0.0], [Palette::of(Tone::RENDER, 0.0), Tone::RENDER]),
            // Poured three feet at a time.
            Finish::Concrete => $this->rows($finish, [914.4], [0.0, 0.0, 8.0], self::tones(Tone::CONCRETE, 0.4, 0.15)),
            default => null,
        };
    }

    private function rubble(Finish $finish, float $bed, Palette $palette): Rubble
    {
        return new Rubble(
            $finish->value, [228.6 / $this->ratio, 152.4 / $this->ratio], $bed / $this->ratio, $this->joint(18.0),
            $palette, Tone::STONE_JOINT,
        );
    }

    private function boards(Finish $finish): ?Rows
    {
        $timber = Palette::of(Tone::TIMBER);

        return match ($finish) {
            Finish::BoardsHorizontal => $this->rows($finish, [152.4], [3657.6, 6.0, 6.0], [$timber, Tone::TIMBER_JOINT]),
            Finish::Weatherboard => $this->rows($finish, [152.4], [3657.6, 6.0, 19.0], [$timber, Tone::TIMBER_JOINT]),
            Finish::BoardsVertical => $this->rows($finish, [152.4], [0.0, 0.0, 6.0], [$timber, Tone::TIMBER_JOINT])->with(isUpright: true),
            Finish::BoardAndBatten => $this->rows($finish, [254.0, 50.8], [0.0, 0.0, 12.0], [$timber, Tone::TIMBER_JOINT])
                ->with(isUpright: true),
            default => null,
        };
    }

    private function sheets(Finish $finish): ?Rows
    {
        $wave = [0.1, 0.02, -0.12, -0.02];

        return match ($finish) {
            Finish::Corrugated => $this->rows($finish, [76.2], [2438.4, 10.0, 0.0], self::tones(Tone::SHEET, 0.4))
                ->with(isUpright: true, stagger: 0.0, across: $wave),
            Finish::Lead => $this->rows($finish, [609.6], [2133.6, 25.0, 45.0], [Palette::of(Tone::LEAD, 0.6), Shade::of(Tone::LEAD, 0.12)])
                ->with(isUpright: true, stagger: 0.0),
            Finish::Zinc => $this->rows($finish, [508.0], [2133.6, 25.0, 40.0], [Palette::of(Tone::ZINC, 0.5), Shade::of(Tone::ZINC, 0.12)])
                ->with(isUpright: true, stagger: 0.0),
            Finish::Felt => $this->rows($finish, [838.2], [0.0, 0.0, 12.0], [Palette::of(Tone::FELT, 0.6), self::dark(Tone::FELT)]),
            default => null,
        };
    }

    private function tiles(Finish $finish): ?Rows
    {
        $slate = new Palette([[Tone::SLATE, 0.7], [Shade::of(Tone::SLATE, 0.1), 0.2], ['#6b6470', 0.1]]);
        $stone = Palette::of(Tone::STONE_SLATE, 1.4);
        $clay = new Palette([[Tone::TILE, 0.7], [Shade::of(Tone::TILE, 0.15), 0.2], [Shade::of(Tone::TILE, -0.2), 0.1]]);

        return match ($finish) {
            Finish::Slate => $this->rows($finish, [215.9], [254.0, 4.0, 8.0], [$slate, self::dark(Tone::SLATE)]),
            Finish::StoneSlate => $this->rows($finish, [254.0, 228.6], [330.2, 8.0, 25.0], [$stone, self::dark(Tone::STONE_SLATE)])
                ->with(varies: 0.125),
            Finish::PlainTile => $this->rows($finish, [101.6], [165.1, 4.0, 12.0], [$clay, self::dark(Tone::TILE)]),
            Finish::Pantile => $this->rows($finish, [203.2], [266.7, 14.0, 0.0], self::tones(Tone::PANTILE, 0.8))
                ->with(isUpright: true, stagger: 0.0, across: [0.12, 0.06, -0.04, -0.2]),
            default => null,
        };
    }

    /** @return array{Palette, string} of units of one colour, and of what shows between them */
    private static function tones(string $colour, float $spread, float $darker = 0.35): array
    {
        return [Palette::of($colour, $spread), self::dark($colour, $darker)];
    }

    /** What shows in the joints of something. */
    private static function dark(string $colour, float $by = 0.35): string
    {
        return Shade::of($colour, -$by);
    }

    /**
     * @param  non-empty-list<float>  $rows  how high they are, real millimetres
     * @param  array{float, float, float}  $units  how long a unit is, the joint between two of a row, and that between rows
     * @param  array{Palette, string}  $colours  of units, and of what shows between
     */
    private function rows(Finish $finish, array $rows, array $units, array $colours): Rows
    {
        return new Rows(
            $finish->value, array_map(fn (float $mm): float => $mm / $this->ratio, $rows), $units[0] / $this->ratio,
            $this->joint($units[1]), $this->joint($units[2]), ...$colours,
        );
    }

    /** @param  float  $real  0 for none */
    private function joint(float $real): float
    {
        $widened = $real > 0.0 && $this->building->methods->skin->widensJoints ? Masonry::LEAST_LINE_MM : 0.0;

        return max($real / $this->ratio, $widened);
    }
}
