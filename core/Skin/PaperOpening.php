<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Pattern\Pattern;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\TurnedEdge;
use Chartula\Core\Part\TurnedOpening;

/**
 * How paper turns into one opening: flaps that stay hinged at the finished edge, cut apart at the corners, and on a
 * curved head cut into tabs. The wall's frame, model millimetres. docs/formulas.md#turning-in
 */
final readonly class PaperOpening
{
    /** How far a straight tab may leave its arc. */
    private const TAB_SAG_MM = 0.1;

    /** Two flaps that meet leave so much between them, so that there is something to cut. */
    private const LEAST_GAP_MM = 0.2;

    public float $flap;

    /**
     * @param  float  $wanted  how deep it should turn in; 0 where it is cut at the edge
     * @param  list<Claim>  $claims  of things on its wall
     * @param  ?Pattern  $lining  of its sides, where they are of something else than the wall
     */
    public function __construct(
        private OpeningForm $opening,
        float $wanted,
        private array $claims = [],
        private ?Pattern $lining = null,
    ) {
        $shape = $opening->shape;
        $up = $opening->reachesFoot() ? $shape->height - self::LEAST_GAP_MM : ($shape->height - self::LEAST_GAP_MM) / 2.0;
        $this->flap = max(0.0, min($wanted, ($shape->width - self::LEAST_GAP_MM) / 2.0, $up));
    }

    /** Whether it has tabs all round: where it recedes it does not. */
    private function isRound(): bool
    {
        return $this->opening->shape->isRound() && $this->opening->shape->true === null;
    }

    /** Gives what is cut right out: the opening less its flaps. */
    public function cutOut(): Ring
    {
        return $this->opening->ring(-$this->flap);
    }

    /**
     * The same for a door, as a walk along the paper's foot.
     *
     * @return list<array{Vec2, Edge}>
     */
    public function notch(): array
    {
        $shape = $this->opening->shape;
        $by = new Vec2($this->opening->left, $this->opening->sill);
        $f = $this->flap;
        $walk = [[(new Vec2($f, 0.0))->plus($by), new Edge('flap', 'opening')]];
        foreach (array_reverse($shape->head($shape->width - $f, $f, -$f)) as $point) {
            $walk[] = [$point->plus($by), new Edge('flap', 'opening')];
        }
        $walk[] = [(new Vec2($shape->width - $f, 0.0))->plus($by), new Edge('foot', 'foot')];

        return $walk;
    }

    /** Says how its flaps lie, for what is drawn on them; null where nothing is turned in. */
    public function reveal(): ?TurnedOpening
    {
        $shape = $this->opening->shape;

        return $this->flap <= 0.0 ? null : new TurnedOpening(
            $this->opening->ring(),
            $this->flap,
            $shape->springing() - $shape->springing(-$this->flap),
            $this->opening->reachesFoot(),
            $this->finishes(),
            $this->lining,
            $this->isRound(),
        );
    }

    /** @return array<'foot'|'head'|'left'|'right', TurnedEdge> the edge of the first thing that finishes it */
    private function finishes(): array
    {
        $finishes = [];
        foreach ($this->claims as $claim) {
            foreach ($claim->turned[$this->opening->id] ?? [] as $edge => $joints) {
                $finishes[$edge] ??= new TurnedEdge($joints, $claim->edge ?? $claim->tone);
            }
        }

        return $finishes;
    }

    /** @return list<array{Vec2, Vec2}> */
    public function slits(): array
    {
        if ($this->flap <= 0.0) {
            return [];
        }
        $shape = $this->opening->shape;
        $f = $this->flap;
        $w = $shape->width;
        $by = new Vec2($this->opening->left, $this->opening->sill);
        if ($this->isRound()) {
            return array_map(static fn (array $tab): array => [$tab[0]->plus($by), $tab[1]->plus($by)], $this->tabs());
        }
        $slits = [
            [new Vec2($w - $f, $shape->springing(-$f)), new Vec2($w, $shape->springing())],
            [new Vec2($f, $shape->springing(-$f)), new Vec2(0.0, $shape->springing())],
        ];
        if (! $this->opening->reachesFoot()) {
            $slits[] = [new Vec2($f, $f), new Vec2(0.0, 0.0)];
            $slits[] = [new Vec2($w - $f, $f), new Vec2($w, 0.0)];
        }
        foreach (array_slice($this->tabs(), 1, -1) as [$inner, $point]) {
            // Beyond the hole's corners the flaps of the jambs begin; the diagonal cuts them apart.
            if ($inner->x > $f && $inner->x < $w - $f) {
                $slits[] = [$inner, $point];
            }
        }

        return array_map(static fn (array $slit): array => [$slit[0]->plus($by), $slit[1]->plus($by)], $slits);
    }

    /** @return list<Score> */
    public function scores(): array
    {
        if ($this->flap <= 0.0) {
            return [];
        }
        $shape = $this->opening->shape;
        $head = array_column($this->tabs(), 1);
        $isRound = $this->isRound();
        $points = $isRound ? [...$head, $head[0]] : [new Vec2($shape->width, 0.0), ...$head, new Vec2(0.0, 0.0)];
        if (! $isRound && ! $this->opening->reachesFoot()) {
            $points[] = new Vec2($shape->width, 0.0);
        }
        $by = new Vec2($this->opening->left, $this->opening->sill);
        $scores = [];
        for ($i = 1, $n = count($points); $i < $n; $i++) {
            $scores[] = new Score($points[$i - 1]->plus($by), $points[$i]->plus($by), 'away', 90.0, 'back');
        }

        return $scores;
    }

    /**
     * Where the head's flap is cut into tabs, from right to left, both springings included, each with where its slit begins.
     *
     * @return non-empty-list<array{Vec2, Vec2}>
     */
    private function tabs(): array
    {
        $tabs = [];
        foreach ($this->opening->shape->chains() as $chain) {
            array_push($tabs, ...array_slice($chain->tabs(self::TAB_SAG_MM, $this->flap), $tabs === [] ? 0 : 1));
        }
        $level = $this->opening->shape->head($this->opening->shape->width, 0.0);

        return $tabs === [] ? array_map(static fn (Vec2 $p): array => [$p, $p], $level) : $tabs;
    }
}
