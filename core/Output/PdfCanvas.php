<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\Path;
use Chartula\Core\Drawing\PictureCopy;
use Chartula\Core\Drawing\Pictures;
use Chartula\Core\Drawing\Symbol;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Drawing\Tiles;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use TCPDF;

/**
 * The PDF library with three things of ours: one optional-content group a name (it makes a new one at every call), path
 * operators written directly in millimetres, and artwork kept as forms that are drawn once and placed.
 */
final class PdfCanvas extends TCPDF
{
    private const POINTS_PER_MM = 72.0 / 25.4;

    private const FONT = 'dejavusanscondensed';

    /** Height of the face's letters as the drawing means it, by the font's nominal size. */
    private const SIZE = 1.0;

    /** @var array<string, string> content-group tags by layer */
    private array $groups = [];

    /** @var array<string, string> form names by symbol */
    private array $forms = [];

    /** @var array<string, int> numbers of images by the SHA-256 of their files */
    private array $numbers = [];

    public function __construct(string $title, int $timestamp, private readonly Pictures $pictures)
    {
        parent::__construct('P', 'mm', 'A4', true, 'UTF-8');
        $this->file_id = md5($title.'/'.$timestamp);
        $this->setDocCreationTimestamp($timestamp);
        $this->setDocModificationTimestamp($timestamp);
        // The library would write its own name on the last page.
        $this->tcpdflink = false;
        $this->setCreator('Chartula');
        $this->setTitle($title);
        $this->setPrintHeader(false);
        $this->setPrintFooter(false);
        $this->setMargins(0, 0, 0);
        $this->setAutoPageBreak(false);
        $this->setFontSubsetting(true);
        $this->setViewerPreferences(['PrintScaling' => 'None']);
    }

    public function draw(Drawing $drawing): void
    {
        $forms = [];
        $this->AddPage($drawing->width > $drawing->height ? 'L' : 'P', [$drawing->width, $drawing->height]);
        foreach ($drawing->symbols() as $symbol) {
            $forms[$symbol->id] = $this->form($symbol);
        }
        foreach (Layer::cases() as $layer) {
            $this->openGroup($layer->value);
            if ($layer === Layer::Art) {
                foreach ($drawing->placements() as $p) {
                    $this->_out(
                        sprintf(
                            'q %s cm /%s Do Q',
                            self::numbers([$p->a, $p->b, $p->c, $p->d, $p->e * self::POINTS_PER_MM, $p->f * self::POINTS_PER_MM]),
                            $forms[$p->symbol],
                        ),
                    );
                }
            }
            foreach ($drawing->paths($layer) as $path) {
                $this->path($path);
            }
            if ($layer === Layer::Text) {
                foreach ($drawing->texts() as $text) {
                    $this->words($text, $drawing->height);
                }
            }
            $this->_out('EMC');
            $this->openMarkedContent = false;
        }
    }

    public function bytes(): string
    {
        $bytes = $this->Output('', 'S');
        assert(is_string($bytes));

        return $bytes;
    }

    private function openGroup(string $name): void
    {
        if (! isset($this->groups[$name])) {
            $this->startLayer($name, true, true, false);
            $groups = is_array($this->pdflayers) ? $this->pdflayers : [];
            $last = end($groups);
            assert(is_array($last) && is_string($last['layer']));
            $this->groups[$name] = $last['layer'];

            return;
        }
        $this->_out('/OC /'.$this->groups[$name].' BDC');
    }

    private function form(Symbol $symbol): string
    {
        if (! isset($this->forms[$symbol->id])) {
            $id = $this->startTemplate($symbol->width, $symbol->height);
            $this->_out(
                'q '.implode(' ', array_map(static fn (Ring $r): string => self::outline($r->points, true), $symbol->clip)).' W n',
            );
            foreach ($symbol->paths as $path) {
                $this->path($path);
            }
            $this->_out('Q');
            $this->endTemplate();
            assert(is_string($id));
            $this->forms[$symbol->id] = $id;
        }

        return $this->forms[$symbol->id];
    }

    private function path(Path $path): void
    {
        if ($path->lines === []) {
            return;
        }
        $operators = ['q'];
        if ($path->fill !== null) {
            $operators[] = self::colour($path->fill).' rg';
        }
        if ($path->stroke !== null) {
            $operators[] = self::colour($path->stroke->colour).' RG '.self::figure($path->stroke->width * self::POINTS_PER_MM).' w 1 j';
            $operators[] = '['
                .self::numbers(array_map(static fn (float $d): float => $d * self::POINTS_PER_MM, $path->stroke->dash)).'] 0 d';
        }
        foreach ($path->lines as $line) {
            $operators[] = self::outline($line, $path->closed);
        }
        $operators[] = match (true) {
            $path->fill !== null && $path->stroke !== null => 'B*',
            $path->fill !== null => 'f*',
            default => 'S',
        };
        $operators[] = 'Q';
        if ($path->tiles !== null) {
            array_push($operators, ...$this->tiles($path->tiles, $path->box(), array_slice($operators, -count($path->lines) - 2, -2)));
        }
        $this->_out(implode("\n", $operators));
    }

    /**
     * @param  list<string>  $outlines  what shows of it
     * @return list<string>
     */
    private function tiles(Tiles $tiles, Box2 $box, array $outlines): array
    {
        $number = $this->number($tiles->sha256);
        if ($number === null) {
            return [];
        }
        $this->lend($number);
        $copies = array_map(
            static fn (PictureCopy $copy): string => 'q '.($copy->clip === null ? '' : self::outline($copy->clip->points, true).' W n ')
                .self::numbers(array_map(static fn (float $v): float => $v * self::POINTS_PER_MM, $copy->matrix()))." cm /I$number Do Q",
            $tiles->in($box),
        );

        return ['q', ...$outlines, 'W* n', ...$copies, 'Q'];
    }

    /** A form has its own list of the images that are drawn in it. */
    private function lend(int $image): void
    {
        /** @var array<string, array{images: list<int>}> $forms */
        $forms = $this->xobjects;
        $form = $this->inxobj === true && is_string($this->xobjid) ? $this->xobjid : null;
        if ($form !== null && ! in_array($image, $forms[$form]['images'], true)) {
            $forms[$form]['images'][] = $image;
            $this->xobjects = $forms;
        }
    }

    /** Under which a picture is drawn, once it is in the file; null where there is none. */
    private function number(string $sha256): ?int
    {
        if (! isset($this->numbers[$sha256])) {
            $jpeg = $this->pictures->jpeg($sha256);
            if ($jpeg === null) {
                return null;
            }
            $number = $this->Image('@'.$jpeg, 0.0, 0.0, 1.0, 1.0, 'JPEG', hidden: true);
            if (! is_int($number)) {
                return null;
            }
            $this->numbers[$sha256] = $number;
        }

        return $this->numbers[$sha256];
    }

    private function words(Text $text, float $height): void
    {
        [$red, $green, $blue] = self::channels($text->colour);
        $this->setTextColor($red, $green, $blue);
        $this->setFont(self::FONT, $text->bold ? 'B' : '', $text->size * self::POINTS_PER_MM * self::SIZE);
        $y = $height - $text->at->y;
        $width = $this->GetStringWidth($text->text);
        $x = $text->at->x - match ($text->anchor) {
            'start' => 0.0, 'middle' => $width / 2.0, 'end' => $width
        };
        $this->StartTransform();
        if ($text->turnDeg !== 0.0) {
            $this->Rotate($text->turnDeg, $text->at->x, $y);
        }
        $this->setCellPaddings(0, 0, 0, 0);
        $this->Text($x, $y, $text->text, 0, false, true, 0, 0, 'L', false, '', 0, true, 'L', 'T');
        $this->StopTransform();
    }

    /** @param  non-empty-list<Vec2>  $points */
    private static function outline(array $points, bool $closed): string
    {
        if ($closed && self::isUpright($points)) {
            [$a, $c, $mm] = [$points[0], $points[2], self::POINTS_PER_MM];

            return sprintf('%.4F %.4F %.4F %.4F re', $a->x * $mm, $a->y * $mm, ($c->x - $a->x) * $mm, ($c->y - $a->y) * $mm);
        }
        $operators = '';
        foreach ($points as $i => $p) {
            $operators .= sprintf($i === 0 ? '%.4F %.4F m ' : '%.4F %.4F l ', $p->x * self::POINTS_PER_MM, $p->y * self::POINTS_PER_MM);
        }

        return $operators.($closed ? 'h' : '');
    }

    /**
     * Whether it is a rectangle along the page, as nearly all bricks are.
     *
     * @param  non-empty-list<Vec2>  $points
     *
     * @phpstan-assert-if-true array{Vec2, Vec2, Vec2, Vec2} $points
     */
    private static function isUpright(array $points): bool
    {
        if (count($points) !== 4) {
            return false;
        }
        [$a, $b, $c, $d] = $points;

        return $a->y === $b->y && $b->x === $c->x && $c->y === $d->y && $d->x === $a->x;
    }

    /** @return array{int, int, int} */
    private static function channels(string $colour): array
    {
        return [(int) hexdec(substr($colour, 1, 2)), (int) hexdec(substr($colour, 3, 2)), (int) hexdec(substr($colour, 5, 2))];
    }

    private static function colour(string $colour): string
    {
        return self::numbers(array_map(static fn (int $c): float => $c / 255.0, self::channels($colour)));
    }

    /** @param  list<float>  $values */
    private static function numbers(array $values): string
    {
        return implode(' ', array_map(self::figure(...), $values));
    }

    /** Writes four decimals of a point, 0.00004 mm, and never an exponent. */
    private static function figure(float $value): string
    {
        // What is rounded so is written without one; adding nothing turns -0 into 0.
        return (string) (round($value, 4) + 0.0);
    }
}
