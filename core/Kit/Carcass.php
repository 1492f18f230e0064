<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Wall;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Roof\Panels;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/** Walls and roofs as card, of which makers make what is cut. */
final class Carcass
{
    private ?Panels $panels = null;

    private ?self $plain = null;

    public function __construct(
        public readonly Building $building,
        public readonly Form $form,
        public readonly Walls $walls,
    ) {
    }

    /** Of roofs nothing depends on what is let into walls. Asked for only once nothing forbids them. */
    public function panels(): Panels
    {
        $plain = $this->plain();

        return $this->panels ??= $plain === $this ? new Panels($this->building, $this->form) : $plain->panels();
    }

    /**
     * Without what is let into its walls, except into those at which roofs end, and what stands round it: card as it is built, and how.
     */
    public function plain(): self
    {
        if ($this->plain !== null) {
            return $this->plain;
        }
        $wall = static fn (Wall $wall): Wall => $wall->with(openings: []);
        $block = static fn (Block $block): Block => $block->with(walls: array_map($wall, $block->walls), features: []);
        $blocks = array_map(static fn (BlockForm $b): BlockForm => $b->with(
            block: $block($b->block),
            walls: array_map(static fn (WallForm $w): WallForm => $w->with(wall: $wall($w->wall), openings: [], claims: []), $b->walls),
        ), $this->form->blocks);
        $form = new Form($blocks, $this->form->facets, $this->form->solids, under: $this->form->under);
        $building = $this->building->with(
            name: '', note: null, styles: [], blocks: array_map($block, $this->building->blocks), plot: null, relief: null,
            perspective: null, leave: [], features: [],
        );
        $met = $this->whereRoofsEnd();
        $plain = new self($building, $form, $this->walls->plain(
            $form,
            static fn (WallForm $w): bool => isset($met["$w->block/{$w->wall->edge}"]),
        ));

        return $this->plain = $plain->plain = $plain;
    }

    /** @return array<string, true> walls at which roofs end, so that openings there come into it: by block and edge */
    private function whereRoofsEnd(): array
    {
        $met = [];
        foreach ($this->form->facets as $facet) {
            foreach (array_unique(array_merge(...array_map(static fn (Patch $p): array => $p->labels, $facet->patches))) as $label) {
                $side = Side::of($label);
                // What leans out of square eaves ends at whatever wall of another block is near.
                $near = $side->kind !== SideKind::Open ? [] : array_filter(
                    $this->form->walls(),
                    static fn (WallForm $w): bool => $w->block !== $facet->block,
                );
                foreach ($near as $wall) {
                    $met["$wall->block/{$wall->wall->edge}"] = true;
                }
                if ($side->kind === SideKind::Wall) {
                    $wall = $side->wallOrFail();
                    $met["$wall->block/$wall->edge"] = true;
                }
            }
        }

        return $met;
    }

    /** @return list<mixed> all that can be read of it, as data */
    public function content(): array
    {
        $form = $this->form;

        return [
            $this->building,
            $form->facets,
            $form->under,
            $form->solids,
            array_map(static fn (BlockForm $b): array => [$b->ground, $b->ring, $b->base, $b->eaves, $b->roof, $b->plinth], $form->blocks),
            // What is built behind a wall's outside follows from the solids.
            array_map(static fn (WallForm $w): array => array_diff_key(get_object_vars($w), ['section' => true]), $form->walls()),
            array_map(static fn (WallSpan $s): array => [$s->ends, $s->isBuilt()], $this->walls->spans()),
            $this->walls->content(),
        ];
    }
}
