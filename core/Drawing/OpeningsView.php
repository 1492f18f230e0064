<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Fillings\FillingParts;
use Chartula\Core\Fillings\PaneHoles;
use Chartula\Core\Fillings\Stance;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\OpeningNames;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Size;
use Chartula\Core\Measure\Tolerance;

/** The openings of one wall for the screen, with their figures, and the chains of dimensions along its foot. Model millimetres. */
final readonly class OpeningsView
{
    private PaneHoles $panes;

    /** @param  list<OpeningForm>  $openings  from left to right */
    public function __construct(private Building $building, private float $length, private array $openings)
    {
        $this->panes = new PaneHoles($building);
    }

    /**
     * @param  callable(OpeningForm): bool  $clashes  whether something is wrong with it
     * @return list<array<string, mixed>>
     */
    public function figures(callable $clashes): array
    {
        return array_map(
            fn (OpeningForm $o, string $called): array => $this->opening($o, $called) + ['clashes' => $clashes($o)],
            $this->openings,
            OpeningNames::of($this->openings),
        );
    }

    /** @return array<string, mixed> */
    private function opening(OpeningForm $opening, string $called): array
    {
        $described = $opening->opening;
        $style = $described->style;
        $scale = $this->building->scale;
        // What stands open is not in it.
        $isShut = $style->isShut();
        $panes = $isShut ? $this->panes->glass($opening) : [];
        $rise = $style->riseMm();
        $placed = static fn (Ring $r): array => $r->moved($opening->left, $opening->sill)->toArray();

        return [
            'key' => $opening->id, 'id' => $described->id, 'copy' => $opening->copy, 'count' => $described->count, 'row' => $described->row,
            'name' => $style->name, 'called' => $called,
            'style' => $style->id, 'kind' => $style->kind->value, 'path' => $described->path, 'style_path' => "styles.$style->id",
            'left' => Size::ofModel($opening->left, $scale), 'sill' => Size::ofModel($opening->sill, $scale),
            'width' => Size::ofReal($style->w, $scale), 'height' => Size::ofReal($style->h, $scale),
            'rise' => $rise === null ? null : Size::ofReal(RealLength::ofMillimetres($rise), $scale),
            'pitch' => $described->pitch === null ? null : Size::ofReal($described->pitch, $scale),
            'ring' => $opening->ring()->toArray(),
            'stands_open' => ! $isShut && $style->leaf !== null,
            'leaves' => self::leaves($opening, $scale->ratio),
            'panes' => array_map($placed, $panes), 'panels' => array_map($placed, $isShut ? $this->panes->panels($opening) : []),
        ];
    }

    /** @return list<list<array{float, float}>> what slides before its wall, where it is */
    private static function leaves(OpeningForm $opening, float $ratio): array
    {
        $leaf = $opening->opening->style->leaf;

        return $leaf?->slides === null ? [] : array_map(
            static fn (OpeningForm $form): array => $form->ring(-FillingParts::CLEARANCE_MM)->toArray(),
            Stance::filled($leaf, [$opening], $ratio),
        );
    }

    /**
     * Along the foot: every pier and opening, then the whole.
     *
     * @return list<list<array<string, mixed>>>
     */
    public function chains(): array
    {
        $links = [];
        $at = 0.0;
        foreach ($this->openings as $opening) {
            if ($opening->left >= $at) {
                $links[] = $this->link($at, $opening->left, null);
                $links[] = $this->link($opening->left, $opening->right(), $opening->id);
                $at = $opening->right();
            }
        }
        $links[] = $this->link($at, $this->length, null);
        $chains = [array_values(array_filter($links, static fn (array $l): bool => $l['to'] - $l['from'] > Tolerance::FIGURE))];

        return count($chains[0]) > 1 ? [...$chains, [$this->link(0.0, $this->length, null)]] : $chains;
    }

    /** @return array{from: float, to: float, opening: ?string, size: array<string, string|float>, bricks: string} */
    private function link(float $from, float $to, ?string $opening): array
    {
        $brick = $this->building->gauge->brick_mm / $this->building->scale->ratio;

        return [
            'from' => round($from, 4), 'to' => round($to, 4), 'opening' => $opening,
            'size' => Size::ofModel($to - $from, $this->building->scale),
            'bricks' => LengthFormat::trimmed(($to - $from) / $brick, 2).' bricks',
        ];
    }

    /**
     * One press of an arrow key: a brick and a course, or 3 in where no courses show.
     *
     * @return array{along_mm: float, up_mm: float}
     */
    public static function step(Building $building, bool $showsCourses): array
    {
        $ratio = $building->scale->ratio;

        return $showsCourses
            ? ['along_mm' => $building->gauge->brick_mm / $ratio, 'up_mm' => $building->gauge->course_mm / $ratio]
            : ['along_mm' => 76.2 / $ratio, 'up_mm' => 76.2 / $ratio];
    }
}
