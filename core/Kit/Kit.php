<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\ThinEdge;
use Chartula\Core\Compression\Compressed;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Fillings\FramesInLayer;
use Chartula\Core\Form\BuiltFigures;
use Chartula\Core\Form\Claims\Claims;
use Chartula\Core\Form\EndedRoofs;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Perspective\Recession;
use Chartula\Core\Form\Relief\ReliefCut;
use Chartula\Core\Form\Relief\Relieved;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Labelling\Labelling;
use Chartula\Core\Labelling\Labels;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Roof\Panels;
use Chartula\Core\Shell\Walls;
use LogicException;

/** Everything that is cut for one building, derived room by room. */
final readonly class Kit
{
    /**
     * @param  list<LabelledPart>  $parts
     * @param  list<Joint>  $joints
     * @param  list<Check>  $checks  what their makers remark on them
     */
    private function __construct(
        public Compressed $compressed,
        public Relieved $modelled,
        public Form $form,
        public Walls $walls,
        public Panels $panels,
        public array $parts,
        public array $joints,
        public array $checks,
    ) {
    }

    /**
     * @param  array<string, string>  $printed  labels that are on prints, by part
     * @param  ?list<Maker>  $makers  of all that is cut; null: Makers::all()
     *
     * @throws InvalidInput with every reason why the building cannot be made
     */
    public static function derive(Building $building, Recall $recall = new Recall, array $printed = [], ?array $makers = null): self
    {
        $makers ??= Makers::all();
        $problems = new Problems;
        Limits::collect($building, $problems);
        $problems->throwIfAny();
        $compressed = Compressor::of($building, $problems);
        $problems->throwIfAny();
        [$modelled, $form] = self::form($compressed->building, $recall);
        BuiltFigures::collectFaults($form, $problems);
        $problems->throwIfAny();
        $building = $modelled->building;
        $under = ThinEdge::under($compressed->building);
        if ($under !== $compressed->building) {
            $form = $form->with(under: self::form($under, $recall)[1]->facets);
        }
        $carcass = new Carcass($building, $form, Walls::of($building, $form, new FramesInLayer($building)));
        foreach ($makers as $maker) {
            $maker->collectFaults($carcass, $problems);
        }
        $problems->throwIfAny();
        $made = array_map(static fn (Maker $maker): Made => $maker->made($carcass, $recall), $makers);
        $set = PartSet::joined(array_map(static fn (Made $m): PartSet => $m->set, $made));
        $parts = Labels::kept(Labelling::of(self::named($building, $set->parts), $recall), $printed);
        $checks = array_merge(...array_map(static fn (Made $m): array => $m->checks, $made));

        return new self($compressed, $modelled, $form, $carcass->walls, $carcass->panels(), $parts, $set->joints, $checks);
    }

    /**
     * @return array{Relieved, Form} what is modelled of a building, and its surfaces
     *
     * @throws InvalidInput
     */
    private static function form(Building $building, Recall $recall): array
    {
        $problems = new Problems;
        $modelled = ReliefCut::of(EndedRoofs::of($building), $problems);
        $problems->throwIfAny();
        $modelled = $modelled->with(Recession::of($modelled->building, $problems));
        $problems->throwIfAny();
        $form = Surfaces::of($modelled->building, $problems, $recall);
        $problems->throwIfAny();
        $form = Claims::of($modelled->building, $form, $problems);
        $problems->throwIfAny();

        return [$modelled, $form];
    }

    public function part(string $id): LabelledPart
    {
        foreach ($this->parts as $part) {
            if ($part->part->id === $id) {
                return $part;
            }
        }
        throw new LogicException("No part $id");
    }

    /** Counts the pieces of card and paper to cut. */
    public function count(): int
    {
        return array_sum(array_map(static fn (LabelledPart $p): int => $p->part->qty(), $this->parts));
    }

    /**
     * Where there are several blocks, a part's name says which it belongs to.
     *
     * @param  list<Part>  $parts
     * @return list<Part>
     */
    private static function named(Building $building, array $parts): array
    {
        if (count($building->blocks) === 1) {
            return $parts;
        }
        $names = array_column(array_map(static fn (Block $b): array => [$b->id, $b->name], $building->blocks), 1, 0);

        return array_map(
            static fn (Part $p): Part => $p->of->block === null ? $p : $p->with(name: ($names[$p->of->block] ?? '').', '.lcfirst($p->name)),
            $parts,
        );
    }
}
