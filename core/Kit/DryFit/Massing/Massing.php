<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Perspective;
use Chartula\Core\Building\ThinEdge;
use Chartula\Core\Building\Wall;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;

/**
 * A building as masses, worked out from its document alone: what compression, low relief and perspective leave of it. The dry
 * fit holds a kit to it. docs/formulas.md#dry-fit
 */
final class Massing
{
    /** @var ?list<Face> once they are asked for */
    private ?array $faces = null;

    /** A plane that is narrower than so many thicknesses of the roof may be left out, square cuts leaving next to nothing of it. */
    private const NARROW = 1.5;

    /** A deck stays this far inside its parapets, mm. */
    private const DECK_CLEARANCE_MM = 0.1;

    /** @var array<int, list<Mass>> by mass */
    private array $hosts = [];

    /** @var array<int, string> by mass */
    private array $words = [];

    /** @param  list<Mass>  $masses */
    private function __construct(
        public readonly Building $building,
        public readonly array $masses,
    ) {
    }

    /** Of a building that can be made; its roofs as far as the card that carries them goes. */
    public static function of(Building $building, Recall $recall = new Recall): self
    {
        return self::made(ThinEdge::under(Compressor::of($building, new Problems)->building), $recall);
    }

    /** The same with roofs as far as their outermost layer goes. */
    public static function finished(Building $building, Recall $recall = new Recall): self
    {
        return self::made(Compressor::of($building, new Problems)->building, $recall);
    }

    private static function made(Building $building, Recall $recall): self
    {
        $masses = self::whole($building, $recall);
        $masses = EndedMasses::of($building, $masses, self::reach(array_map(static fn (Mass $m): Ring => $m->ring, $masses)));
        $masses = $building->relief === null ? $masses : LowRelief::of($building, $building->relief, $masses);

        return new self($building, $building->perspective?->depth === null ? $masses : self::receding($building, $masses));
    }

    /** @return list<Surface> every outside that card must fill */
    public function surfaces(): array
    {
        $surfaces = array_map(fn (Face $face): Surface => new WallSurface($this, $face), $this->faces());
        foreach ($this->masses as $m => $mass) {
            foreach ($mass->slopes as $slope) {
                $surfaces[] = new SlopeSurface($this, $m, $slope, $slope->width() > self::NARROW * $this->roof());
            }
        }

        return $surfaces;
    }

    /** @return list<Face> of all walls that are built */
    public function faces(): array
    {
        return $this->faces ??= Faces::of($this);
    }

    /** How thick the card of roofs is. */
    public function roof(): float
    {
        return $this->building->methods->roof()->thickness_mm;
    }

    /** How far back low relief leaves anything, as y; null where it cuts nothing. */
    public function cut(): ?float
    {
        $relief = $this->building->relief;

        return $relief === null ? null : $relief->depth->mm
            + array_reduce($this->masses, static fn (float $least, Mass $m): float => min($least, $m->ring->bounds()->y0), INF);
    }

    public function ground(): float
    {
        return array_reduce($this->masses, static fn (float $least, Mass $m): float => min($least, $m->base), INF);
    }

    /** @return list<Mass> the other masses that come near a place in plan */
    public function beside(int $mass, Box2 $box): array
    {
        $others = $this->masses;
        unset($others[$mass]);

        return array_values(array_filter($others, function (Mass $m) use ($box): bool {
            foreach ($this->over($m) as $its) {
                if ($its->meets($box)) {
                    return true;
                }
            }

            return false;
        }));
    }

    /** @return non-empty-list<Box2> what a mass lies over, with its roof, and with what of that runs on into others */
    public function over(Mass $mass): array
    {
        return [
            $mass->box($this->building->scale->ratio),
            ...array_map(static fn (Mass $host): Box2 => $host->ring->bounds(), $this->hosts($mass)),
        ];
    }

    /**
     * Those into which a mass's roof runs on: which begin right beyond its edge.
     *
     * @return list<Mass>
     */
    public function hosts(Mass $mass): array
    {
        return $this->hosts[spl_object_id($mass)] ??= array_values(array_filter(
            $mass->runsOn === [] ? [] : $this->masses,
            static fn (Mass $other): bool => $other !== $mass && $mass->runsInto($other),
        ));
    }

    /**
     * All that a surface of a mass depends on but itself, in one word: that mass, those beside it, and what their roofs run into.
     *
     * @param  list<Mass>  $others
     */
    public function key(Mass $mass, array $others): string
    {
        $words = [];
        foreach ([$mass, ...$others] as $one) {
            $words[] = $this->word($one);
            array_push($words, ...array_map($this->word(...), $this->hosts($one)));
        }

        return Recall::question('', $this->roof(), $this->ground(), $words);
    }

    private function word(Mass $mass): string
    {
        return $this->words[spl_object_id($mass)] ??= Recall::question(
            '',
            [$mass->ring, $mass->tails, $mass->runsOn, $mass->base, $mass->top, $mass->isShut, $mass->slopes, $mass->moves !== []],
        );
    }

    /** How thick a wall's card is. */
    public static function thickness(Building $building, Wall $wall): float
    {
        return $wall->isLeftOut() ? 0.0 : $building->methods->stacks[$wall->stack]->thickness_mm;
    }

    /** @return list<Mass> */
    private static function whole(Building $building, Recall $recall): array
    {
        $scale = $building->scale->ratio;
        $rings = array_map(static fn (Block $b): Ring => $b->standing()->scaled(1.0 / $scale), $building->blocks);
        $reach = self::reach($rings);

        return array_map(
            static fn (Block $block, Ring $ring): Mass => self::mass($building, $block, $ring, array_keys($ring->points), $reach, $recall),
            $building->blocks,
            $rings,
        );
    }

    /**
     * How far a roof may run on over others at most; by itself it does not.
     *
     * @param  list<Ring>  $rings
     */
    private static function reach(array $rings): float
    {
        $box = Box2::around(array_merge(...array_map(static fn (Ring $r): array => $r->points, $rings)));

        return count($rings) > 1 ? $box->width() + $box->height() : 0.0;
    }

    /**
     * How far a deck stays inside each edge.
     *
     * @param  list<?int>  $edges  which of the block's walls stands on each
     * @return list<float>
     */
    public static function inset(Building $building, Block $block, array $edges): array
    {
        return array_map(
            static fn (?int $e): float => self::DECK_CLEARANCE_MM + ($e === null ? 0.0 : self::thickness($building, $block->walls[$e])),
            $edges,
        );
    }

    /**
     * A block over a footprint, with its roof made over that.
     *
     * @param  Block  $block  whose roof has an edge for each of the footprint
     * @param  non-empty-list<?int>  $edges  which of its walls stands on each
     */
    public static function mass(
        Building $building, Block $block, Ring $ring, array $edges, float $reach, Recall $recall = new Recall,
    ): Mass {
        $scale = $building->scale->ratio;
        $roof = $block->roof;
        $eaves = $block->eaves->mm / $scale;
        $inset = self::inset($building, $block, $edges);
        $names = array_map(static fn (?int $e): string => $e === null ? 'back' : $block->walls[$e]->name, $edges);
        $runsOn = array_values(array_filter(array_keys($edges), static fn (int $e): bool =>
            $reach > 0.0 && $roof->runsOn($roof->edges[$e])));

        return new Mass(
            $block,
            $ring,
            $edges,
            $runsOn,
            array_map(static fn (int $e): Ring => Mass::tail($ring, $e, $reach), $runsOn),
            $block->base->mm / $scale,
            $eaves,
            $roof->isBehindWalls(),
            $recall->of(
                Recall::question('slopes', $roof, $scale, $ring, $names, $eaves, $reach, $inset),
                static fn (): array => Roofs::of($roof, $scale, $ring, $names, [$eaves, $reach], $inset),
            ),
            array_fill(0, $ring->count(), $block->base->mm / $scale),
        );
    }

    /**
     * @param  list<Mass>  $masses
     * @return list<Mass>
     */
    private static function receding(Building $building, array $masses): array
    {
        $perspective = $building->perspective;
        $eye = $building->plot?->eye === null ? null : $building->plot->eyeAt(0.0);
        $chosen = array_values(array_filter(
            $masses,
            static fn (Mass $m): bool => $perspective?->blocks === null || in_array($m->block->id, $perspective->blocks, true),
        ));
        if ($perspective?->depth === null || $eye === null || $chosen === []) {
            return $masses;
        }
        $box = Box2::around(array_merge(...array_map(static fn (Mass $m): array => $m->ring->points, $chosen)));
        $axis = $perspective->axis->mm ?? Perspective::FIGURES_EYE_MM / $building->scale->ratio;
        $view = OnePoint::of($eye, $box->y0, $perspective->depth->mm, $perspective->apparent->mm ?? $box->height(), $axis);
        $recedes = static fn (Vec3 $p): Vec3 => $view->at($p);

        return array_map(static fn (Mass $m): Mass => in_array($m, $chosen, true) ? $m->moved($recedes) : $m, $masses);
    }
}
