<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Sheets\Page;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;

/** What every sheet carries round its parts: heading, legend, cautions, and proving rules both ways. */
final readonly class SheetFurniture
{
    private const INK = '#1f2a2e';

    private const RULE_LENGTH_MM = 100;

    public static function draw(Drawing $drawing, Building $building, Sheet $sheet, int $of, string $footer): void
    {
        self::heading($drawing, $building, $sheet, $of, $footer);
        self::legend(
            $drawing,
            $sheet->page,
            array_filter($sheet->parts, static fn (PlacedPart $p): bool => $p->part->part->bevels() !== []) !== [],
        );
        self::rules($drawing, $sheet->page);
    }

    /**
     * Round a page that is no sheet of parts.
     *
     * @param  array{string, string}  $words  under the heading: at the left, and at the right
     */
    public static function plain(Drawing $drawing, Page $page, string $name, string $number, array $words): void
    {
        $top = $page->height - $page->margin;
        $drawing->text(new Text(new Vec2($page->roomX(), $top - 4.0), $name, 4.2, bold: true));
        $drawing->text(new Text(new Vec2($page->width - $page->margin, $top - 4.0), $number, 3.2, 'end', bold: true));
        $drawing->text(new Text(new Vec2($page->roomX(), $top - 8.4), $words[0], 2.4));
        $drawing->text(new Text(new Vec2($page->width - $page->margin, $top - 12.2), $words[1], 2.4, 'end'));
        $drawing->text(
            new Text(
                new Vec2($page->roomX(), $top - 12.2),
                'Print at 100 %, never fitted to the page. Knives slip: a safety rule, the other hand behind the cut.',
                2.4,
            ),
        );
        $drawing->line(
            Layer::Text,
            new Vec2($page->roomX(), $top - Page::HEADING_MM + 2.6),
            new Vec2($page->width - $page->margin, $top - Page::HEADING_MM + 2.6),
            new Stroke(0.3, self::INK),
        );
        self::legend($drawing, $page, false);
        self::rules($drawing, $page);
    }

    private static function heading(Drawing $drawing, Building $building, Sheet $sheet, int $of, string $footer): void
    {
        $page = $sheet->page;
        $top = $page->height - $page->margin;
        $left = $page->roomX();
        $right = $page->width - $page->margin;
        $drawing->text(new Text(new Vec2($left, $top - 4.0), $building->name, 4.2, bold: true));
        $drawing->text(new Text(new Vec2($right, $top - 4.0), "sheet $sheet->number of $of", 3.2, 'end', bold: true));
        $what = $sheet->isTemplate
            ? 'Stick to the '.$building->methods->template->side.' of '.$sheet->stock->words()
                .($sheet->isMirrored ? ' (printed mirrored)' : '').'; it '
                .($building->methods->template->stays ? 'stays on and counts as thickness.' : 'is peeled off after cutting.')
            : (
                $sheet->stock->kind === 'paper'
                ? 'Print on '.$sheet->stock->words().' and cut.'
                : 'Lay '.$sheet->stock->words().' over this sheet and cut.'
            );
        $drawing->text(new Text(new Vec2($left, $top - 8.4), $what, 2.4));
        $drawing->text(
            new Text(
                new Vec2($right, $top - 8.4),
                trim('scale 1:'.LengthFormat::trimmed($building->scale->ratio, 4).'  '.$footer),
                2.4,
                'end',
            ),
        );
        $drawing->text(
            new Text(
                new Vec2($left, $top - 12.2),
                'Print at 100 %, never fitted to the page. Both rules must measure 100 mm on a steel rule.',
                2.4,
                bold: true,
            ),
        );
        $drawing->text(
            new Text(
                new Vec2($left, $top - 16.0),
                'Knives slip: a sharp blade, a safety rule, the other hand behind the cut. Scores first, then openings from the smallest, then outlines by their numbers.',
                2.1,
            ),
        );
        $drawing->line(
            Layer::Text,
            new Vec2($left, $top - Page::HEADING_MM + 2.6),
            new Vec2($right, $top - Page::HEADING_MM + 2.6),
            new Stroke(0.3, self::INK),
        );
    }

    private static function legend(Drawing $drawing, Page $page, bool $hasBevels): void
    {
        $y = $page->height - $page->margin - 19.6;
        $x = $page->roomX();
        $samples = [
            ['cut', new Stroke(0.1, self::INK), 0],
            ['fold, printed side scored', new Stroke(0.1, '#9c4a32', [1.2, 0.8]), 1],
            ['fold, other side scored', new Stroke(0.1, '#9c4a32', [1.2, 0.8]), 2],
            ['mark', new Stroke(0.12, '#4c5b66'), 0],
            ...($hasBevels ? [['bevel to here', new Stroke(0.1, '#4c5b66', [0.3, 0.5]), 0]] : []),
        ];
        foreach ($samples as [$words, $stroke, $ticks]) {
            $drawing->line(Layer::Text, new Vec2($x, $y + 0.7), new Vec2($x + 9.0, $y + 0.7), $stroke);
            for ($i = 0; $i < $ticks; $i++) {
                $at = $x + 0.6 + 0.7 * $i;
                $drawing->line(Layer::Text, new Vec2($at, $y), new Vec2($at, $y + 1.4), new Stroke(0.15, '#9c4a32'));
            }
            $drawing->text(new Text(new Vec2($x + 10.2, $y), $words, 2.1));
            $x += 14.0 + mb_strlen($words) * 1.25;
        }
        $drawing->text(new Text(new Vec2($x, $y), 'arrow: up', 2.1));
    }

    private static function rules(Drawing $drawing, Page $page): void
    {
        $y = $page->margin + 4.0;
        $x = $page->roomX();
        $stroke = new Stroke(0.15, self::INK);
        $lines = [[new Vec2($x, $y), new Vec2($x + self::RULE_LENGTH_MM, $y)]];
        $x2 = $page->margin + 4.0;
        $y2 = $page->roomY();
        $lines[] = [new Vec2($x2, $y2), new Vec2($x2, $y2 + self::RULE_LENGTH_MM)];
        for ($mm = 0; $mm <= self::RULE_LENGTH_MM; $mm++) {
            $long = $mm % 10 === 0 ? 2.4 : ($mm % 5 === 0 ? 1.7 : 1.0);
            $lines[] = [new Vec2($x + $mm, $y), new Vec2($x + $mm, $y + $long)];
            $lines[] = [new Vec2($x2, $y2 + $mm), new Vec2($x2 + $long, $y2 + $mm)];
        }
        $drawing->path(new Path(Layer::Mark, $lines, false, $stroke));
        $drawing->text(new Text(new Vec2($x + self::RULE_LENGTH_MM + 2.0, $y), '100 mm across', 2.1));
        $drawing->text(new Text(new Vec2($x2 - 0.8, $y2 + self::RULE_LENGTH_MM / 2.0), '100 mm along', 2.1, 'middle', 90.0));
    }
}
