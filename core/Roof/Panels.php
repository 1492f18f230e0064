<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\PlaneId;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Necks;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\RoofSeat;
use Chartula\Core\Part\TextureMarks;
use Chartula\Core\Stock\Stack;
use Chartula\Core\Stock\Stock;
use LogicException;

/** The panels of all roofs, layer by layer. docs/formulas.md#panel-edges */
final class Panels
{
    /** Planes that fold by less than this lie in one, degrees. */
    private const SEAM_DEG = 0.01;

    public readonly Stack $stack;

    private readonly PanelFigures $figures;

    /** @var list<array{Facet, float}> planes of which square cuts leave no card, and how wide they are in plan */
    public readonly array $leftOut;

    /** @var list<RoofPanel> */
    private array $panels = [];

    public function __construct(private readonly Building $building, public readonly Form $form)
    {
        $this->stack = $building->methods->roof();
        $this->figures = new PanelFigures($building, $form);
        $leftOut = [];
        foreach ($form->facets as $facet) {
            $panels = [];
            foreach (array_keys($this->stack->layers) as $k) {
                [$cut, $leaves] = $this->cut($k === 0 ? $facet : $this->under($facet), $k);
                array_push($panels, ...$cut);
                array_push($leftOut, ...$k === $this->carrier() ? $leaves : []);
            }
            usort($panels, static fn (RoofPanel $a, RoofPanel $b): int => [$a->patch, $a->layer] <=> [$b->patch, $b->layer]);
            array_push($this->panels, ...$panels);
        }
        $this->leftOut = $leftOut;
        $this->panels = array_map($this->freed(...), $this->panels);
    }

    /** The same plane as far as the card under the outermost layer goes. */
    private function under(Facet $facet): Facet
    {
        foreach ($this->form->under ?? [] as $other) {
            if ($other->id()->key() === $facet->id()->key()) {
                return $other;
            }
        }

        return $facet;
    }

    /** @return array{list<RoofPanel>, list<array{Facet, float}>} the panels of a plane in a layer, and what it leaves out */
    private function cut(Facet $facet, int $k): array
    {
        $panels = $leftOut = [];
        foreach ($facet->built as $piece => $patch) {
            $shape = PanelShape::of($this->form, $facet, $piece, $this->stack->thickness_mm);
            $parted = $this->parted($facet, $patch, $shape, $k);
            foreach ($parted as [$cut, $inside]) {
                $panels[] = $this->panel($facet, $piece, count($panels), $k, $shape, $cut, $inside);
            }
            if ($parted === []) {
                $leftOut[] = [$facet, 2.0 * $patch->area() / $patch->outline->perimeter()];
            }
        }

        return [$panels, $leftOut];
    }

    /** What square cuts have left of a line may be too little for its other side to have any: there a panel only stays clear. */
    private function freed(RoofPanel $panel): RoofPanel
    {
        return $panel->freed(fn (int $i, string $label): bool =>
            Side::isOfKind($label, SideKind::Plane) && ! $this->isMet($panel, $i, Side::of($label)->planeOrFail()));
    }

    private function isMet(RoofPanel $panel, int $edge, PlaneId $plane): bool
    {
        foreach ($this->of($plane, $panel->layer) as $other) {
            foreach ($other->meetings($panel) as [$hole, $i]) {
                // As their joint is measured: the earlier one's side first.
                $met = array_search($panel, $this->panels, true) < array_search($other, $this->panels, true)
                    ? Meeting::along($panel->part, $edge, $other->part, $i, null, $hole)
                    : Meeting::along($other->part, $i, $panel->part, $edge, $hole);
                if ($met !== null) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<RoofPanel> */
    public function all(): array
    {
        return $this->panels;
    }

    /** @return list<RoofPanel> */
    public function layer(int $k): array
    {
        return array_values(array_filter($this->panels, static fn (RoofPanel $p): bool => $p->layer === $k));
    }

    /** @return list<non-empty-list<RoofPanel>> of a layer, those of one patch together */
    public function byPatch(int $layer): array
    {
        $patches = [];
        foreach ($this->layer($layer) as $panel) {
            $patches[$panel->facet->id()->key().'/'.$panel->patch][] = $panel;
        }

        return array_values($patches);
    }

    /**
     * Those of one plane.
     *
     * @return list<RoofPanel>
     */
    public function of(PlaneId $plane, int $layer): array
    {
        return array_values(
            array_filter(
                $this->panels,
                static fn (RoofPanel $p): bool => $p->layer === $layer && $plane->isOf($p->facet),
            ),
        );
    }

    public function carrier(): int
    {
        return count($this->stack->layers) - 1;
    }

    public function shape(RoofPanel $panel): PanelShape
    {
        return PanelShape::of($this->form, $panel->facet, $panel->patch, $this->stack->thickness_mm);
    }

    /** How far the underside of a layer lies above the roof's underside, square to it. */
    public function above(int $layer): float
    {
        return $this->stack->below($layer);
    }

    /**
     * The card of a layer, cut square or bevelled. A slope that narrows, beside a line in which it meets others, to less than square
     * cuts take off both sides comes in pieces.
     *
     * @return list<array{Patch, ?Patch}> the outside of each, and where edges are bevelled its inside
     */
    private function parted(Facet $facet, Patch $patch, PanelShape $shape, int $k): array
    {
        [$low, $high] = [$this->above($k), $this->above($k) + $this->stack->layers[$k]->thickness_mm];
        $square = $shape->square($low, $high);
        if ($square === null || $shape->at($low) === null) {
            return [];
        }
        $pieces = Necks::parted($square);
        if ($pieces === [$square] && $this->building->methods->bevelsPanels) {
            $bevelled = $shape->bevelled($low, $high);
            $hasRoom = $bevelled !== null && ! (new LeanRoom($this->form))->isTaken($facet, $patch, $bevelled[0], $high);

            return [$hasRoom ? $bevelled : [$square, null]];
        }

        return array_map(static fn (Patch $piece): array => [$piece, null], $pieces);
    }

    private function panel(Facet $facet, int $patch, int $piece, int $k, PanelShape $shape, Patch $cut, ?Patch $inside): RoofPanel
    {
        $layer = $this->stack->layers[$k];
        $above = $this->above($k);
        $true = $shape->at($above) ?? $cut;
        $first = self::eaves($cut);
        $cut = $cut->turned($first);
        $block = $this->form->blocks[$facet->block]->block;
        $name = $facet->name.($facet->name === 'deck' ? '' : '-slope').($piece > 0 ? '-'.($piece + 1) : '');
        $points = $cut->outline->points;
        $edges = [];
        foreach ($cut->labels as $i => $label) {
            $edges[] = $this->edge($facet, $label, $cut->outline->point($i), $cut->outline->point($i + 1));
        }

        return new RoofPanel($facet, $patch, $piece, $k, $cut->labels, $cut->holeLabels, Part::of(
            new PartName($block->id.'.'.$name.'.'.$layer->id, $block->id, $facet->name, $layer->id), 'R',
            ucfirst($facet->name).($facet->name === 'deck' ? '' : ' slope').', '.$layer->id, PartGroup::Roof,
            $layer->stock, $layer->thickness_mm,
            new Outline($cut->outline, $edges, $inside?->turned($first)->outline),
            [$facet->frame->moved(0.0, 0.0, $above + $layer->thickness_mm)], $this->figures->of($facet, $k, $cut),
            $cut->holes, marks: self::texture($layer->stock, $k, $cut),
            roof: new RoofSeat(
                $block->id,
                $facet->name,
                $layer->id,
                array_map(
                    static fn (Vec2 $p): Vec3 => $facet->frame->point($p->x, $p->y, $above),
                    $true->turned(self::eaves($true))->outline->points,
                ),
            ),
        ));
    }

    /** @return list<Mark> where the lines of a textured sheet lie, from the eaves up, or along them */
    private static function texture(Stock $stock, int $layer, Patch $cut): array
    {
        $box = $cut->outline->bounds();

        return $layer > 0 || $stock->texture === null
            ? []
            : TextureMarks::of($stock->texture, $cut->region(), new Vec2($box->x0, $box->y0));
    }

    /** The corner at which it is begun: the left end of the eaves. */
    private static function eaves(Patch $patch): int
    {
        $best = 0;
        $least = [2, INF, INF];
        foreach ($patch->outline->points as $i => $p) {
            $rank = [$patch->labels[$i] === 'eaves' ? 0 : 1, round($p->y, 6), $p->x];
            if ($rank < $least) {
                [$best, $least] = [$i, $rank];
            }
        }

        return $best;
    }

    private function edge(Facet $facet, string $label, Vec2 $from, Vec2 $to): Edge
    {
        $side = Side::of($label);
        $clearWhereShort = $from->distanceTo($to) > Tolerance::PASSING ? null : 'clearance';

        return match ($side->kind) {
            SideKind::Eaves => new Edge('eaves', 'eaves'),
            SideKind::Verge => new Edge($to->y > $from->y ? 'verge-right' : 'verge-left', 'verge'),
            SideKind::Top => new Edge('top', 'top'),
            SideKind::Cut => new Edge('cut back', 'top'),
            SideKind::Open => new Edge('end', 'eaves'),
            SideKind::Pierced => new Edge('hole', 'clearance'),
            SideKind::Foot, SideKind::Beneath, SideKind::Within => new Edge('foot', 'clearance'),
            SideKind::Deck => new Edge('deck', 'clearance'),
            SideKind::Wall => new Edge('wall', $clearWhereShort),
            SideKind::Beside => new Edge('beside the next roof', 'clearance'),
            SideKind::Below => new Edge('under the next roof', 'clearance'),
            SideKind::Clear => new Edge('clear of the next roof', 'clearance'),
            SideKind::Over => new Edge('on the roof below', $clearWhereShort),
            SideKind::Plane => new Edge($this->line($facet, $side->planeOrFail(), $from, $to)),
            SideKind::Left, SideKind::Right, SideKind::Opening, SideKind::On, SideKind::Party, SideKind::Under, SideKind::Rim,
            SideKind::Atop, SideKind::Past
                => throw new LogicException("A slope has no side “{$label}”"),
        };
    }

    /**
     * What the line between two planes is called.
     *
     * @return 'ridge'|'hip'|'valley'|'break'|'seam'
     */
    private function line(Facet $facet, PlaneId $plane, Vec2 $from, Vec2 $to): string
    {
        $other = $this->form->plane($plane);
        $along = $to->minus($from);
        $out = new Vec2($along->y, -$along->x);
        $frame = $facet->frame;
        $inPlan = new Vec2($frame->x->x * $out->x + $frame->y->x * $out->y, $frame->x->y * $out->x + $frame->y->y * $out->y);

        return match (true) {
            abs($facet->foldTo($other, $inPlan)) < self::SEAM_DEG => 'seam',
            $facet->foldTo($other, $inPlan) < 0.0 => 'valley',
            $other->block === $facet->block && $other->edge === $facet->edge => 'break',
            abs($along->y) < Tolerance::FIGURE => 'ridge',
            default => 'hip',
        };
    }
}
