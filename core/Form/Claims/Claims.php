<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Problem\Problems;

/** The second step of Form: what things take of the surfaces that the first step made. */
final readonly class Claims
{
    private function __construct(private Masonry $masonry, private Problems $problems)
    {
    }

    public static function of(Building $building, Form $form, Problems $problems): Form
    {
        $self = new self(Masonry::of($building), $problems);
        $blocks = array_map(
            static fn (BlockForm $block): BlockForm => $block->with(walls: array_map($self->wall(...), $block->walls)),
            $form->blocks,
        );

        return new Form($blocks, $form->facets, $form->solids);
    }

    private function wall(WallForm $wall): WallForm
    {
        $claims = [];
        foreach ($wall->openings as $opening) {
            $own = $opening->opening->dress() === [] ? [] : $this->opening($opening->true ?? $opening);
            if ($own !== []) {
                // On a wall that recedes no card lies flat.
                $claims[$opening->id] = $wall->receding === null ? $own : array_map(static fn (Claim $c): Claim => $c->printed(), $own);
            }
        }

        return $claims === [] ? $wall : $wall->with(claims: $claims);
    }

    /** @return list<Claim> */
    private function opening(OpeningForm $opening): array
    {
        $at = new DressedOpening($opening, $this->masonry);
        $claims = [];
        foreach ($opening->opening->dress() as $feature) {
            $kind = $feature->kind;
            if (! $kind instanceof Dresses) {
                continue;
            }
            $refusal = $kind->refusal($feature, $at);
            if ($refusal !== null) {
                $this->problems->add("{$feature->said->path}.kind", $refusal, ['what' => lcfirst($kind->title())]);
            }
            foreach ($refusal === null ? $kind->claims($feature, $at) : [] as $claim) {
                $box = $claim->ring->bounds();
                $reach = max($box->width(), $box->height());
                if ($reach > $this->masonry->farthest()) {
                    $facts = ['what' => lcfirst($kind->title()), 'given' => $reach, 'limit' => $this->masonry->farthest()];
                    $this->problems->add($feature->said->path, 'dress.too-large', $facts);

                    continue;
                }
                $claims[] = $claim;
                $at = $at->under($claim);
            }
        }

        return $claims;
    }
}
