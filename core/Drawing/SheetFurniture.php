<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Template;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Part;
use Chartula\Core\Sheets\Frame;
use Chartula\Core\Sheets\Page;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;

/** What every page carries round what is on it: one line of heading, and in the strips of the margin proving rules, legend and cautions. */
final readonly class SheetFurniture
{
    public const INK = '#1f2a2e';

    public const FOLD = '#9c4a32';

    public const MARK = '#4c5b66';

    /** Marks are dotted, so that they are no cuts in black and white either. */
    public const DOTS = [0.3, 0.7];

    /** Type in the margin, mm. */
    private const SIZE = 2.0;

    /** A letter's width by its height, generous. */
    private const LETTER = 0.49;

    private const BOLD = 0.6;

    /** So much of a long name is shown before anything else is. */
    private const NAME_LETTERS = 18;

    /** Type over a frame, mm. */
    private const FRAME_SIZE = 2.2;

    /** The line between two frames lies so far below what is in the upper one. */
    private const LINE_BELOW_MM = 0.7;

    private const RULE_LENGTH_MM = 100;

    /** The rules' lines lie so far outside the room. */
    private const RULE_OUT_MM = 3.4;

    /** Printers print no nearer to the edge of a page. */
    private const EDGE_MM = 4.5;

    public const ORDER = 'Scores first, then openings from the smallest, then outlines by their numbers.';

    private const CAUTION = 'Knives slip: a sharp blade, a safety rule, the other hand behind the cut.';

    private function __construct(private Drawing $drawing, private Page $page)
    {
    }

    public static function draw(Drawing $drawing, Building $building, Sheet $sheet, SheetHeading $heading): void
    {
        $self = new self($drawing, $sheet->page);
        $template = $building->methods->template;
        $what = $sheet->isShared()
            ? ['For several cards: cut the page along its lines first, then stick each part to its own', 'For several cards: cut along the lines first']
            : self::what($sheet->frames[0], $template);
        foreach ($sheet->isShared() ? $sheet->frames : [] as $i => $frame) {
            $self->frame($frame, self::what($frame, $template), $i > 0);
        }
        $scale = '1:'.LengthFormat::trimmed($building->scale->ratio, 4);
        $name = $heading->only === '' ? $building->name : ucfirst($heading->only).", $building->name";
        $self->heading($name, $what, trim("$scale  $heading->footer"), "sheet $sheet->number of $heading->of");
        $self->legend(self::shown($sheet));
        $self->words([self::ORDER.' '.self::CAUTION, self::CAUTION]);
        $self->rules();
    }

    /** @return non-empty-list<string> what is done with what lies in a frame, in ever fewer words */
    private static function what(Frame $frame, Template $template): array
    {
        $stock = $frame->stock->words();
        $mirrored = $frame->isMirrored() ? ' (printed mirrored)' : '';

        return match (true) {
            $frame->isTemplate() => [
                "Stick to the $template->side of $stock$mirrored; "
                    .($template->stays ? 'stays on and counts as thickness' : 'is peeled off after cutting: write the names on the card first'),
                "Stick to the $template->side of $stock$mirrored",
                "To the $template->side of $stock",
            ],
            $frame->stock->kind === 'paper' => ["Print on $stock and cut"],
            default => ["Lay $stock over this and cut", "For $stock"],
        };
    }

    /**
     * What stands over a frame, and a line over that where another lies above.
     *
     * @param  non-empty-list<string>  $whats
     */
    private function frame(Frame $frame, array $whats, bool $hasAbove): void
    {
        $box = $frame->box;
        $fits = array_filter($whats, static fn (string $what): bool => self::BOLD * self::FRAME_SIZE * mb_strlen($what) <= $box->width());
        $what = array_values($fits)[0] ?? $whats[count($whats) - 1];
        $this->drawing->text(new Text(new Vec2($box->x0, $box->y1 + 1.1), $what, self::FRAME_SIZE, bold: true));
        if ($hasAbove) {
            $y = $box->y1 + Frame::TITLE_MM - self::LINE_BELOW_MM;
            $this->drawing->line(Layer::Text, new Vec2($box->x0, $y), new Vec2($box->x1, $y), new Stroke(0.2, self::INK, [3.0, 1.0]));
        }
    }

    /**
     * Round a page that is no sheet of parts.
     *
     * @param  array{string, string}  $words  after the name, and before the number
     */
    public static function plain(Drawing $drawing, Page $page, string $name, string $number, array $words): void
    {
        $self = new self($drawing, $page);
        $self->heading($name, [$words[0]], $words[1], $number);
        $self->words([self::CAUTION]);
        $self->rules();
    }

    /** @param  non-empty-list<string>  $whats  what is done with the page, in ever fewer words */
    private function heading(string $name, array $whats, string $scale, string $number): void
    {
        $y = $this->page->height - $this->page->margin - 3.4;
        [$left, $right] = [$this->page->roomX(), $this->page->width - $this->page->roomX()];
        $letters = static fn (string $what): int => (int) floor((
            $right - $left - 8.0 - self::LETTER * 2.2 * (mb_strlen($what) + mb_strlen($scale)) - self::BOLD * 3.0 * mb_strlen($number)
        ) / (self::BOLD * 3.2));
        $fits = array_filter($whats, static fn (string $w): bool => $letters($w) >= min(mb_strlen($name), self::NAME_LETTERS));
        $what = array_values($fits)[0] ?? $whats[count($whats) - 1];
        $letters = $letters($what);
        $shown = mb_strlen($name) <= $letters ? $name : rtrim(mb_substr($name, 0, max(6, $letters - 1))).'…';
        $this->drawing->text(new Text(new Vec2($left, $y), $shown, 3.2, bold: true));
        $this->drawing->text(new Text(new Vec2($left + self::BOLD * 3.2 * mb_strlen($shown) + 2.0, $y), $what, 2.2));
        $this->drawing->text(new Text(new Vec2($right, $y), $number, 3.0, 'end', bold: true));
        $this->drawing->text(new Text(new Vec2($right - self::BOLD * 3.0 * mb_strlen($number) - 2.0, $y), $scale, 2.2, 'end'));
        $this->drawing->line(Layer::Text, new Vec2($left, $y - 1.4), new Vec2($right, $y - 1.4), new Stroke(0.2, self::INK));
    }

    /** @return list<array{string, ?Stroke, int}> what the sheet has, with how it looks and how many ticks stand across its ends */
    private static function shown(Sheet $sheet): array
    {
        $parts = array_map(static fn (PlacedPart $p): Part => $p->part->part, $sheet->parts);
        $has = static fn (callable $what): bool => array_filter($parts, $what) !== [];
        $fold = new Stroke(0.1, self::FOLD, [1.2, 0.8]);

        return [
            ['cut', new Stroke(0.1, self::INK), 0],
            ...($has(static fn (Part $p): bool => $p->art !== null)
                ? [['cut along the light line; fold back from tick to tick and from corner to corner of openings', null, 0]]
                : []),
            ...($has(static fn (Part $p): bool => $p->art === null && $p->scores !== [])
                ? [['fold, scored on this side', $fold, 1], ['fold, scored on the other', $fold, 2]]
                : []),
            ...($has(static fn (Part $p): bool => $p->marks !== []) ? [['mark', new Stroke(0.15, self::MARK, self::DOTS), 0]] : []),
            ...($has(static fn (Part $p): bool => $p->bevels() !== [])
                ? [['bevel to here', new Stroke(0.1, self::MARK, [0.3, 0.5]), 0]]
                : []),
            ['arrow: up', null, 0],
            ...($has(static fn (Part $p): bool => $p->showsPrint()) ? [['out: this side is seen', null, 0]] : []),
            ...(array_filter($sheet->parts, static fn (PlacedPart $p): bool => $p->part->like !== null) !== []
                ? [['letter: parts of one letter are equal', null, 0]]
                : []),
        ];
    }

    /**
     * Up the left margin, over the rule; on a short page what finds no room there goes up the right one.
     *
     * @param  list<array{string, ?Stroke, int}>  $samples
     */
    private function legend(array $samples): void
    {
        [$left, $foot] = [$this->page->roomX(), $this->page->roomY()];
        $top = $this->page->height - $this->page->margin;
        $over = $foot + self::RULE_LENGTH_MM + 3.0;
        $lanes = [[$left - 2.4, $over], [$left - 0.4, $over], [$this->page->width - $left + 4.6, $foot]];
        foreach ($samples as $sample) {
            $length = ($sample[1] === null ? 0.0 : 8.0) + self::LETTER * self::SIZE * mb_strlen($sample[0]);
            $fits = array_keys(array_filter($lanes, static fn (array $lane): bool => $top >= $lane[1] + $length));
            $lane = $fits[0] ?? count($lanes) - 1;
            $this->sample($sample, ...$lanes[$lane]);
            $lanes[$lane][1] += $length + 3.0;
        }
    }

    /** @param  array{string, ?Stroke, int}  $sample */
    private function sample(array $sample, float $x, float $y): void
    {
        [$words, $stroke, $ticks] = $sample;
        if ($stroke !== null) {
            $this->drawing->line(Layer::Text, new Vec2($x - 0.7, $y), new Vec2($x - 0.7, $y + 7.0), $stroke);
            $y += 8.0;
        }
        for ($i = 0; $i < $ticks; $i++) {
            $at = $y - 7.4 + 0.7 * $i;
            $this->drawing->line(Layer::Text, new Vec2($x - 1.4, $at), new Vec2($x, $at), new Stroke(0.15, self::FOLD));
        }
        $this->drawing->text(new Text(new Vec2($x, $y), $words, self::SIZE, turnDeg: 90.0));
    }

    /**
     * Up the right margin.
     *
     * @param  non-empty-list<string>  $all  in ever fewer words
     */
    private function words(array $all): void
    {
        $at = new Vec2($this->page->width - $this->page->roomX() + 2.6, $this->page->roomY());
        $most = $this->page->height - $this->page->margin - $at->y;
        $fits = array_filter($all, static fn (string $words): bool => self::LETTER * self::SIZE * mb_strlen($words) <= $most);
        $this->drawing->text(new Text($at, array_values($fits)[0] ?? $all[count($all) - 1], self::SIZE, turnDeg: 90.0));
    }

    private function rules(): void
    {
        [$x, $y] = [$this->page->roomX(), $this->page->roomY()];
        $foot = $y - self::RULE_OUT_MM;
        $side = $x - self::RULE_OUT_MM;
        $lines = [
            [new Vec2($x, $foot), new Vec2($x + self::RULE_LENGTH_MM, $foot)],
            [new Vec2($side, $y), new Vec2($side, $y + self::RULE_LENGTH_MM)],
        ];
        for ($mm = 0; $mm <= self::RULE_LENGTH_MM; $mm++) {
            $long = $mm % 10 === 0 ? 2.4 : ($mm % 5 === 0 ? 1.7 : 1.0);
            $lines[] = [new Vec2($x + $mm, $foot), new Vec2($x + $mm, $foot + $long)];
            $lines[] = [new Vec2($side, $y + $mm), new Vec2($side + $long, $y + $mm)];
        }
        $this->drawing->path(new Path(Layer::Mark, $lines, false, new Stroke(0.15, self::INK)));
        $at = new Vec2($x + self::RULE_LENGTH_MM + 2.0, $foot);
        $all = ['100 mm. Print at 100 %, never fitted to the page; both rules must measure 100 mm on steel.', 'Print at 100 %: both are 100 mm.'];
        $fits = array_filter(
            $all,
            fn (string $words): bool => $at->x + self::LETTER * self::SIZE * mb_strlen($words) < $this->page->width - self::EDGE_MM,
        );
        $this->drawing->text(new Text($at, array_values($fits)[0] ?? '100 mm', self::SIZE));
    }
}
