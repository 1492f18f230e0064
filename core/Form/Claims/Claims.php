<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Kind;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Problem\Problems;

/** The second step of Form: what things take of the surfaces that the first step made. */
final readonly class Claims
{
    private Masonry $masonry;

    private Sites $sites;

    /** The least y of any block. */
    private float $front;

    /**
     * @param  list<Facet>  $facets  of all roofs
     * @param  non-empty-list<BlockForm>  $blocks  all of the first step
     */
    private function __construct(private Building $building, private array $facets, private array $blocks, private Problems $problems)
    {
        $this->front = min(array_map(static fn (BlockForm $b): float => $b->ring->bounds()->y0, $blocks));
        $this->masonry = Masonry::of($building);
        $this->sites = new Sites($building, $facets);
    }

    /** Those of openings first, then the others in the order of what they stand on. */
    public static function of(Building $building, Form $form, Problems $problems): Form
    {
        $self = new self($building, $form->facets, $form->blocks, $problems);
        $blocks = [];
        $sites = [];
        $standing = [];
        foreach ($form->blocks as $block) {
            $block = $block->with(walls: array_map(static fn (WallForm $w): WallForm => $self->dressed($block, $w), $block->walls));
            [$block, $own, $stands] = $self->placed($block);
            $blocks[] = $block;
            array_push($sites, ...$own);
            array_push($standing, ...$stands);
        }
        $self->collectClashes($standing);
        $facets = array_map(static fn (Facet $f): Facet => Pierced::slope($f, $standing, $building), $form->facets);
        foreach ($building->features as $feature) {
            $site = $self->sites->onPlot($feature);
            array_push($sites, ...$site === null ? [] : [$site]);
        }

        $way = new InTheWay(new Form($blocks, $facets, $form->solids), $building->methods->roof()->thickness_mm);
        $blocks = array_map(
            static fn (BlockForm $b): BlockForm => $b->with(walls: array_map($way->told(...), $b->walls)),
            $blocks,
        );
        $self->collectBlocked($blocks);

        return new Form($blocks, $facets, $form->solids, $sites);
    }

    private function dressed(BlockForm $block, WallForm $wall): WallForm
    {
        $claims = [];
        foreach ($wall->openings as $opening) {
            $dress = $block->block->dress($wall->wall->edge, $opening->opening, $opening->copy);
            if ($dress !== []) {
                $at = new DressedOpening($opening->true ?? $opening, $this->masonry);
                array_push($claims, ...$this->round($at, $dress, $opening->id));
            }
        }

        return $claims === [] ? $wall : self::more($wall, $claims);
    }

    /**
     * What things take round an opening, each over what the one before it took.
     *
     * @param  list<Feature>  $features
     * @param  ?string  $id  of the opening; null for several as if they were one
     * @return list<Claim>
     */
    private function round(DressedOpening $at, array $features, ?string $id): array
    {
        $claims = [];
        foreach ($features as $feature) {
            $kind = $feature->kind;
            if (! $kind instanceof Dresses || ! $this->isAllowed($feature, $kind, $kind->refusal($feature, $at))) {
                continue;
            }
            foreach ($this->bounded($kind->claims($feature, $at)) as $claim) {
                $claims[] = $claim->with(opening: $id, turned: $at->turned($claim));
                $at = $at->under($claim);
            }
        }

        return $claims;
    }

    /** @return array{BlockForm, list<Site>, list<Standing>} with what its own things take, where they are, and what stands on slopes */
    private function placed(BlockForm $block): array
    {
        $sites = [];
        $standing = [];
        $waiting = $block->block->features;
        // What stands on another thing waits for that; nothing stands on itself in the end.
        while ($waiting !== []) {
            $later = [];
            foreach ($waiting as $feature) {
                $under = $feature->place?->anchor === Anchor::Feature ? $feature->place->feature : null;
                $isReady = $under === null || isset($sites[$under]);
                if (! $isReady) {
                    $later[] = $feature;

                    continue;
                }
                $site = $under === null
                    ? $this->sites->onBlock($feature, $block)
                    : $this->sites->onOther($feature, $sites[$under], $this->firstOf($block, $under));
                if ($site !== null) {
                    $isUnderRoof = $site->isOnSlope || $feature->kind instanceof GoesUp;
                    $site = $isUnderRoof ? $site->with(roof: $this->roofUnder($block)) : $site;
                    $sites[$feature->id ?? ''] = $site;
                    [$block, $stands] = $this->taken($block, $site);
                    array_push($standing, ...$stands);
                }
            }
            if (count($later) === count($waiting)) {
                break;
            }
            $waiting = $later;
        }

        return [$block, array_values($sites), $standing];
    }

    private function firstOf(BlockForm $block, string $feature): ?Claim
    {
        foreach ($block->walls as $wall) {
            foreach ($wall->claims as $claim) {
                if ($claim->opening === null && $claim->feature->id === $feature) {
                    return $claim;
                }
            }
        }

        return null;
    }

    /** @return array{BlockForm, list<Standing>} a block with what a thing takes of its walls, and what it has on slopes or through them */
    private function taken(BlockForm $block, Site $site): array
    {
        [$feature, $kind] = [$site->feature, $site->feature->kind];
        $claims = match (true) {
            $site->group !== null => $this->round($site->group, [$feature], null),
            $kind instanceof Takes => $this->isAllowed($feature, $kind, $kind->objection($feature, $site))
                ? $this->bounded($kind->takes($feature, $site))
                : [],
            default => [],
        };
        $walls = $block->walls;
        $standing = [];
        foreach ($claims as $claim) {
            $edge = ($site->faces[$claim->face] ?? null)?->wall->wall->edge;
            if ($claim->stands) {
                $standing[] = new Standing($claim->feature, $claim->ring, $claim->pierces, $claim->shown);
            } elseif ($edge !== null) {
                $walls[$edge] = self::more($walls[$edge], [$claim]);
            }
        }

        return [$claims === [] ? $block : $block->with(walls: $walls), $standing];
    }

    /**
     * No two things may stand in one place.
     *
     * @param  list<Standing>  $standing
     */
    private function collectClashes(array $standing): void
    {
        foreach ($standing as $i => $one) {
            foreach (array_slice($standing, 0, $i) as $other) {
                if ($other->feature !== $one->feature && $one->isNear($other)) {
                    $facts = ['what' => lcfirst($one->feature->kind->title()), 'other' => lcfirst($other->feature->kind->title())];
                    $this->problems->add("{$one->feature->said->path}.on", 'thing.in-the-way', $facts);
                }
            }
        }
    }

    private function roofUnder(BlockForm $block): RoofUnder
    {
        $methods = $this->building->methods;
        $thick = static fn (WallForm $w): float =>
            $w->isBuilt() ? $methods->stacks[$w->wall->stack]->thickness_mm : 0.0;
        $inside = Offset::lines($block->ring, array_map(static fn (WallForm $w): float => -$thick($w) - Pierced::CLEAR_MM, $block->walls));

        $relief = $this->building->relief;

        $others = array_values(array_filter($this->blocks, static fn (BlockForm $b): bool => $b->index !== $block->index));
        $cut = $relief === null ? null : $this->front + $relief->depth->mm;

        return new RoofUnder($this->facets, $methods, $inside, $block, $cut, $others);
    }

    /**
     * What is made on a wall by its own kind needs it free of other blocks, and of what else is.
     *
     * @param  list<BlockForm>  $blocks
     */
    private function collectBlocked(array $blocks): void
    {
        foreach ($blocks as $block) {
            foreach ($block->walls as $wall) {
                $own = array_values(array_filter($wall->claims, static fn (Claim $c): bool => $c->isOwn));
                $blocked = [];
                foreach ($own as $i => $claim) {
                    $path = "{$claim->feature->said->path}.on";
                    $facts = ['what' => lcfirst($claim->feature->kind->title())];
                    foreach ($claim->isBlocked && ! isset($blocked[$path]) ? [$path] : [] as $at) {
                        $this->problems->add($at, 'thing.blocked', $facts);
                        $blocked[$at] = true;
                    }
                    foreach (array_slice($own, 0, $i) as $other) {
                        $shared = Clip::sharedArea(new Region($claim->ring), new Region($other->ring));
                        if ($other->feature !== $claim->feature && $shared > 0.0) {
                            $this->problems->add($path, 'thing.in-the-way', $facts + ['other' => lcfirst($other->feature->kind->title())]);
                        }
                    }
                }
            }
        }
    }

    private function isAllowed(Feature $feature, Kind $kind, ?string $refusal): bool
    {
        if ($refusal !== null) {
            $this->problems->add("{$feature->said->path}.kind", $refusal, ['what' => lcfirst($kind->title())]);
        }

        return $refusal === null;
    }

    /**
     * Those that do not reach farther than anything may; of the others a fault.
     *
     * @param  list<Claim>  $claims
     * @return list<Claim>
     */
    private function bounded(array $claims): array
    {
        $bounded = [];
        foreach ($claims as $claim) {
            $box = $claim->ring->bounds();
            $reach = max($box->width(), $box->height());
            if ($reach <= $this->masonry->farthest()) {
                $bounded[] = $claim->with(isTooFine: min($box->width(), $box->height()) < $this->masonry->leastRaised);

                continue;
            }
            $facts = ['what' => lcfirst($claim->feature->kind->title()), 'given' => $reach, 'limit' => $this->masonry->farthest()];
            $this->problems->add($claim->feature->said->path, 'dress.too-large', $facts);
        }

        return $bounded;
    }

    /** @param  non-empty-list<Claim>  $claims  more of what things take of a wall; on one that recedes no card lies flat */
    private static function more(WallForm $wall, array $claims): WallForm
    {
        $claims = $wall->receding === null ? $claims : array_map(static fn (Claim $c): Claim => $c->printed(), $claims);

        return $wall->with(claims: [...$wall->claims, ...$claims]);
    }
}
