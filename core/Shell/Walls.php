<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Form\WallId;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\TextureMarks;

/** The card of all walls: what every other room that meets a wall asks. docs/formulas.md#corner */
final class Walls
{
    /** @var list<array{WallSpan, int, float}> */
    private array $leftOut = [];

    /**
     * @param  array<int, list<WallSpan>>  $spans  by block and edge
     * @param  array<int, array<int, array<int, list<WallPiece>>>>  $pieces  by block, edge and layer
     */
    private function __construct(
        public readonly Form $form,
        private array $spans = [],
        private array $pieces = [],
        private readonly ?LayerFrames $frames = null,
    ) {
    }

    /** @param  ?LayerFrames  $frames  how layers are cut that have all frames; null where nobody asks for those */
    public static function of(Building $building, Form $form, ?LayerFrames $frames = null): self
    {
        $self = new self($form, frames: $frames);
        $self->build($building);

        return $self;
    }

    private function build(Building $building): void
    {
        foreach ($this->form->blocks as $b => $block) {
            $edges = array_keys($block->walls);
            $spans = array_map(fn (int $edge): WallSpan => WallSpan::of($building, $this->form, new WallId($b, $edge)), $edges);
            $jogs = array_keys(array_filter($spans, static fn (WallSpan $span): bool => $span->isJog()));
            $this->spans[$b] = $jogs === []
                ? $spans
                : array_map(fn (int $edge): WallSpan => WallSpan::of($building, $this->form, new WallId($b, $edge), $jogs), $edges);
        }
        $shapes = [];
        foreach ($this->spans() as $span) {
            foreach (array_keys($span->stack->layers) as $k) {
                $shapes[$span->form->block][$span->form->wall->edge][$k] = $this->shapes($span, $k);
            }
        }
        foreach ($this->spans as $b => $spans) {
            foreach ($spans as $edge => $span) {
                foreach ($shapes[$b][$edge] as $k => $cut) {
                    foreach (['left' => 'right', 'right' => 'left'] as $label => $other) {
                        $end = $span->at($label, $k);
                        $mates = $end->kind === WallEnd::MITRE ? $shapes[$b][$end->edge][$k] ?? [] : null;
                        $isMet = $mates === null || in_array($other, array_merge(...array_column($mates, 'labels')), true);
                        $cut = $isMet ? $cut : array_map(static fn (WallShape $shape): WallShape => $shape->freed($label), $cut);
                    }
                    $this->pieces[$b][$edge][$k] = $this->cut($span, $k, $cut);
                }
            }
        }
    }

    /**
     * The same walls without what is let into them, of a form without openings.
     *
     * @param  callable(WallForm): bool  $keeps  whether one keeps its holes
     */
    public function plain(Form $form, callable $keeps): self
    {
        $spans = $pieces = [];
        foreach ($this->spans as $b => $ofBlock) {
            foreach ($ofBlock as $edge => $span) {
                $spans[$b][] = $plain = $span->plain($form->blocks[$b]);
                $isKept = $keeps($span->form);
                $pieces[$b][$edge] = array_map(static fn (array $all): array => array_map(
                    static fn (WallPiece $piece): WallPiece => $piece->plain($plain, $isKept),
                    $all,
                ), $this->pieces[$b][$edge]);
            }
        }

        return new self($form, $spans, $pieces, $this->frames);
    }

    /** @return list<mixed> all that can be read of its pieces, as data */
    public function content(): array
    {
        $all = [];
        foreach ($this->spans() as $span) {
            foreach (array_keys($span->stack->layers) as $k) {
                $all[] = array_map(static fn (WallPiece $piece): array => [$piece->shape, $piece->part], $this->pieces($span, $k));
            }
        }

        return $all;
    }

    /** @return list<WallSpan> */
    public function spans(?int $block = null): array
    {
        return $block === null ? array_merge(...$this->spans) : $this->spans[$block];
    }

    public function span(int $block, int $edge): WallSpan
    {
        $n = count($this->spans[$block]);

        return $this->spans[$block][(($edge % $n) + $n) % $n];
    }

    /** @return list<WallPiece> */
    public function pieces(WallSpan $span, int $layer): array
    {
        return $this->pieces[$span->form->block][$span->form->wall->edge][$layer];
    }

    /** @return list<WallPiece> the side that is seen, or the side of the room */
    public function facing(WallSpan $span, bool $outside): array
    {
        return $this->pieces($span, $outside ? 0 : $span->innermost());
    }

    /**
     * @param  list<WallShape>  $shapes
     * @return list<WallPiece>
     */
    private function cut(WallSpan $span, int $k, array $shapes): array
    {
        $layer = $span->stack->layers[$k];
        $pieces = [];
        foreach ($shapes as $i => $shape) {
            $pieces[] = new WallPiece($span, $k, $shape, Part::of(
                new PartName($span->partId($k, $i), $span->block->id, $span->name(), $layer->id), 'W',
                ucfirst($span->name()).' wall, '.$layer->id, PartGroup::Shell, $layer->stock, $layer->thickness_mm,
                $shape->outline, [$span->form->frame->moved(0.0, 0.0, -$span->stack->depthOf($k))],
                $this->workings($span, $k, $shape->outline->ring->bounds()), $shape->holes,
                // Of a wall that is papered they stand on the paper: between card and paper nobody would see them.
                marks: $k > 0 && $k === $span->stack->frames() ? $this->framed($span, $shape) : ($k === 0 && ! $span->form->isPapered ? [
                    ...WallMarks::of($this->form, $span, new Region($shape->outline->ring, $shape->holes)),
                    ...self::texture($span, $shape),
                ] : []),
            ));
        }

        return $pieces;
    }

    /** @return list<Mark> where the lines of a textured sheet lie: courses from the datum, upright ones from the wall's left end */
    private static function texture(WallSpan $span, WallShape $shape): array
    {
        $texture = $span->stack->texture();

        return $texture === null ? [] : TextureMarks::of(
            $texture, new Region($shape->outline->ring, $shape->holes), new Vec2(0.0, -$span->form->frame->origin->z),
        );
    }

    /** @return list<WallShape> bevelled where it is mitred and under slopes, else square; without what is too narrow for its mitres */
    private function shapes(WallSpan $span, int $k): array
    {
        $depths = $span->depths($k);
        $bevelled = array_map(fn (Patch $patch): ?WallShape => $this->shape($span, $k, $patch)->bevelled(
            $depths,
            fn (string $label, float $depth): float => $span->endBevel($label, $k, $depth, false)
                + $this->bevel($span, $k, $patch->labels, $label) * ($depth - $depths[0]),
        ), $span->patches($k));
        if (in_array(null, $bevelled, true) || $this->isLess($span, $k)) {
            $bevelled = array_map(fn (Patch $patch): ?WallShape => $this->shape($span, $k, $patch)->bevelled(
                $depths,
                static fn (string $label, float $depth): float => $span->endBevel($label, $k, $depth, true),
            ), $span->squarePatches($k));
        }

        foreach ($bevelled as $i => $shape) {
            if ($shape === null) {
                $this->leftOut[] = [$span, $k, $span->squarePatches($k)[$i]->outline->bounds()->width()];
            }
        }

        return array_values(array_filter($bevelled, static fn (?WallShape $shape): bool => $shape !== null));
    }

    /** Whether planes that lie over its inner face alone leave less of a card than when it is cut square. */
    private function isLess(WallSpan $span, int $k): bool
    {
        return ($span->form->section->eaves() === null || count($this->form->blocks) > 1)
            && self::area($span->patches($k)) < self::area($span->squarePatches($k)) - Tolerance::MEET;
    }

    /** @param  list<Patch>  $patches */
    private static function area(array $patches): float
    {
        return array_sum(array_map(static fn (Patch $patch): float => $patch->area(), $patches));
    }

    /** @return list<array{WallSpan, int, float}> walls and layers of which a stretch so wide is too narrow for its mitres, and not cut */
    public function leftOut(): array
    {
        return $this->leftOut;
    }

    /** @return list<Mark> what is printed of frames and leaves that are cut in it */
    private function framed(WallSpan $span, WallShape $shape): array
    {
        $marks = array_map(
            fn (OpeningForm $o): array => $span->isInLayer($o->opening) ? $this->frames?->marks($span, $o) ?? [] : [],
            $shape->openings,
        );

        return array_merge(...$marks);
    }

    private function shape(WallSpan $span, int $k, Patch $patch): WallShape
    {
        $isIn = fn (OpeningForm $o): bool => $this->frames !== null && $k === $span->stack->frames() && $span->isInLayer($o->opening);
        $open = array_values(array_filter($span->form->openings, static fn (OpeningForm $o): bool => ! $isIn($o)));
        $framed = array_values(array_filter($span->form->openings, $isIn));

        return WallShape::of(
            $patch,
            $open,
            static fn (OpeningForm $o): float => $span->cut($o->opening)->grow($k),
            self::end('left', $span->at('left', $k)),
            self::end('right', $span->at('right', $k)),
        )->pierced($span->form->holes())->framing(
            WallShape::openingsIn($patch, $framed),
            fn (OpeningForm $o): array => $this->frames?->holes($span, $o) ?? [],
        );
    }

    /**
     * How far out (below 0: in) an edge under or on a slope lies for each millimetre behind the card's outside, by how much the slope
     * rises towards the room. Where several planes lie over a wall, one that rises is left to touch its outer arris.
     * docs/formulas.md#wall-tops
     *
     * @param  list<string>  $labels  of all edges
     */
    private function bevel(WallSpan $span, int $k, array $labels, string $label): float
    {
        $side = Side::of($label);
        if ($side->kind === SideKind::Atop) {
            return $span->foot($side->wallOrFail(), $k);
        }
        if ($side->kind !== SideKind::Plane && $side->kind !== SideKind::On) {
            return 0.0;
        }
        $slope = $this->form->plane($side->planeOrFail())->gradient();
        $frame = $span->form->frame;
        $rises = -$slope->dot(new Vec2($frame->normal->x, $frame->normal->y));
        $along = $slope->dot(new Vec2($frame->x->x, $frame->x->y));
        $planes = array_filter($labels, static fn (string $of): bool => $of !== $label && Side::isOfKind($of, SideKind::Plane));
        $out = match (true) {
            $side->kind === SideKind::On => -$rises,
            $planes === [] => $rises,
            default => min(0.0, $rises),
        };

        return $out / sqrt(1.0 + $along * $along);
    }

    private static function end(string $name, WallEnd $end): Edge
    {
        return $end->kind === WallEnd::STOPPED || $end->kind === WallEnd::MITRE ? new Edge($name) : new Edge($name, 'clearance');
    }

    /** @return array<string, Figure> */
    private function workings(WallSpan $span, int $k, Box2 $box): array
    {
        $width = $span->form->length;
        foreach ([['left', $span->start($k)], ['right', $span->form->length->mm - $span->end($k)]] as [$side, $cut]) {
            $end = $span->at($side, $k);
            if (abs($cut) > Tolerance::ROUNDING && $end->kind === WallEnd::MITRE) {
                $words = LengthFormat::trimmed($span->stack->depthOf($k), 3).' × cot '.LengthFormat::trimmed($end->angle / 2.0, 1).'°';
                $width = $cut > 0.0 ? $width->less($cut, 'less the mitre, '.$words) : $width->plus(-$cut, 'past the inner corner, '.$words);
            } elseif (abs($cut) > Tolerance::ROUNDING) {
                $neighbour = $this->span($span->form->block, $end->edge);
                $words = implode(' + ', array_map(static fn ($layer): string => $layer->words(), $neighbour->stack->layers));
                $width = $cut > 0.0
                    ? $width->less($cut, 'less the '.$neighbour->name().' wall, '.$words.self::slant($end))
                    : $width->plus(-$cut, 'past the inner corner, '.$neighbour->name().' wall, '.$words.self::slant($end));
            }
        }
        $height = $span->form->apex ?? $span->form->height;
        if ($span->form->foot < 0.0) {
            $height = $height->plus(-$span->form->foot, 'down to the lowest ground along it, and buried');
        }

        // Past the tops of the walls that stop it a gable is as wide as its wall is long.
        $rises = $span->risesPast();
        $widths = $rises === []
            ? ['width' => self::corrected($width, $box->width())]
            : ['width' => self::corrected($span->form->length, $box->width()), 'foot' => $width];

        return $widths + ['height' => self::corrected($height, $box->height())];
    }

    private static function slant(WallEnd $end): string
    {
        return abs(abs($end->angle - 180.0) - 90.0) < 0.001 ? '' : ' at '.LengthFormat::trimmed($end->angle, 1).'°';
    }

    private static function corrected(Figure $figure, float $mm): Figure
    {
        $off = $figure->mm - $mm;

        return abs($off) < Tolerance::FIGURE
            ? $figure
            : (
                $off > 0.0
                ? $figure->less($off, 'cut to what it meets, '.LengthFormat::trimmed($off, 3))
                : $figure->plus(-$off, 'up to what it meets, '.LengthFormat::trimmed(-$off, 3))
            );
    }
}
