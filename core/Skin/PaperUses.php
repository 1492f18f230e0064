<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\OwnPaper;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\Pattern\Pattern;

/** Which faces of a building show a person's own papers. */
final readonly class PaperUses
{
    private function __construct(private Building $building, private Form $form)
    {
    }

    /** @return list<PaperUse> */
    public static function of(Building $building, Form $form): array
    {
        $own = new self($building, $form);
        $blocks = $form->blocks;

        return $building->papers === [] ? [] : array_merge(
            ...array_map($own->onWall(...), $form->walls()),
            ...array_map($own->onRoof(...), $blocks, array_keys($blocks)),
            ...array_map($own->onThings(...), array_keys($blocks)),
        );
    }

    /** @return list<PaperUse> */
    private function onWall(WallForm $wall): array
    {
        $block = $this->building->blocks[$wall->block];
        $words = "the {$wall->wall->name} wall of $block->name";
        $at = "$block->id.{$wall->wall->name}";
        $uses = [];
        $paper = $this->paper($wall->wall->paper);
        if ($paper !== null && $wall->isPapered) {
            $drawn = Coverings::of($wall->wall->finish, $this->building)?->pattern;
            $box = self::face($wall);
            $uses[] = new PaperUse(
                $paper, FittedPaper::of($paper, $drawn), $words, "{$wall->wall->path}.paper", $at,
                // It is laid from the wall's own end and the datum.
                [$box->x1, $box->y1 + $this->building->scale->modelMm($block->base)],
            );
        }
        foreach ($wall->claims as $claim) {
            $paper = $this->paper($claim->paper);
            if ($paper === null || ! $wall->isPapered) {
                continue;
            }
            $drawn = $claim->covering === null ? null : Coverings::of($claim->covering, $this->building)?->pattern;
            $box = $claim->ring->bounds();
            $uses[] = new PaperUse(
                $paper, $claim->covering === null ? FittedPaper::stretched($paper, $box) : FittedPaper::of($paper, $drawn),
                lcfirst($claim->feature->kind->title())." on $words", "{$claim->feature->said->path}.paper",
                "$at.{$claim->owner()}", [$box->width(), $box->height()],
            );
        }

        return $uses;
    }

    /** Round all of it, as it is where it recedes. */
    private static function face(WallForm $wall): Box2
    {
        $box = Box2::around(array_merge(...array_map(static fn (Patch $p): array => $p->outline->points, $wall->patches)));

        return $wall->receding?->inverse()->ring(new Ring($box->corners()))->bounds() ?? $box;
    }

    /** @return list<PaperUse> what wears one round itself, and not on a wall */
    private function onThings(int $at): array
    {
        $block = $this->building->blocks[$at];
        $onWalls = [];
        foreach ($this->form->walls() as $wall) {
            foreach ($wall->claims as $claim) {
                $onWalls += $claim->paper === null ? [] : [$claim->feature->said->path => true];
            }
        }
        $uses = [];
        foreach ($block->features as $feature) {
            $paper = $this->paper($feature->said->text('paper'));
            $finish = Finish::tryFrom($feature->said->text('finish') ?? '');
            if ($paper !== null && $finish !== null && ! isset($onWalls[$feature->said->path])) {
                $uses[] = new PaperUse(
                    $paper, FittedPaper::of($paper, Coverings::of($finish, $this->building)?->pattern),
                    'the '.lcfirst($feature->kind->title())." of $block->name", "{$feature->said->path}.paper", $block->id, [0.0, 0.0],
                );
            }
        }

        return $uses;
    }

    /** @return list<PaperUse> */
    private function onRoof(BlockForm $form, int $at): array
    {
        $block = $this->building->blocks[$at];
        $paper = $this->paper($block->roof->paper);
        $isOfIt = static fn (Facet $f): bool => $f->block === $at && $f->patches !== [];
        $slopes = array_values(array_filter($this->form->facets, $isOfIt));
        if ($paper === null || $slopes === []) {
            return [];
        }
        $box = Box2::around(array_merge(...array_map(
            static fn (Patch $p): array => array_map($slopes[0]->flat(...), $p->outline->points),
            $slopes[0]->patches,
        )));

        return [new PaperUse(
            $paper, FittedPaper::of($paper, self::courses($this->building, $slopes)), "the roof of $block->name",
            "$block->path.roof.paper", $block->id, [$box->width(), $box->height()],
        )];
    }

    /** @param  non-empty-list<Facet>  $slopes */
    private static function courses(Building $building, array $slopes): ?Pattern
    {
        $roof = $building->blocks[$slopes[0]->block]->roof;
        $pattern = Coverings::ofRoof($roof, $building)?->pattern;

        return $pattern === null ? null : SlopeCourses::of(
            SlopeCourses::alike($slopes[0], $slopes), $pattern, $building->methods->roof()->thickness_mm,
        )->on($pattern);
    }

    private function paper(?string $id): ?OwnPaper
    {
        return $this->building->papers[$id ?? ''] ?? null;
    }
}
