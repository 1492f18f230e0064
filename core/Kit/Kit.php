<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Compression\Compressed;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Form\EndedRoofs;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Perspective\Recession;
use Chartula\Core\Form\Relief\ReliefCut;
use Chartula\Core\Form\Relief\Relieved;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Part\Fingerprint;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Roof\BoardParts;
use Chartula\Core\Roof\FormerParts;
use Chartula\Core\Roof\LedgeParts;
use Chartula\Core\Roof\Panels;
use Chartula\Core\Roof\RoofParts;
use Chartula\Core\Roof\UnderRoof;
use Chartula\Core\Shell\BaseParts;
use Chartula\Core\Shell\BraceParts;
use Chartula\Core\Shell\FormFaults;
use Chartula\Core\Shell\WallParts;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Skin\PaperParts;
use Chartula\Core\Trim\DeepOpeningParts;
use Chartula\Core\Trim\DeepOpeningPlace;
use Chartula\Core\Trim\GroundParts;
use Chartula\Core\Trim\PanelParts;
use LogicException;

/** Everything that is cut for one building, derived room by room. */
final readonly class Kit
{
    /**
     * @param  list<LabelledPart>  $parts
     * @param  list<Joint>  $joints
     */
    private function __construct(
        public Compressed $compressed,
        public Relieved $modelled,
        public Form $form,
        public Walls $walls,
        public Panels $panels,
        public array $parts,
        public array $joints,
    ) {
    }

    /**
     * @param  array<string, string>  $printed  labels that are on prints, by part
     *
     * @throws InvalidInput with every reason why the building cannot be made
     */
    public static function derive(Building $building, Recall $recall = new Recall, array $printed = []): self
    {
        $problems = new Problems;
        Limits::collect($building, $problems);
        $problems->throwIfAny();
        $compressed = Compressor::of($building, $problems);
        $problems->throwIfAny();
        $modelled = ReliefCut::of(EndedRoofs::of($compressed->building), $problems);
        $problems->throwIfAny();
        $modelled = $modelled->with(Recession::of($modelled->building, $problems));
        $problems->throwIfAny();
        $building = $modelled->building;
        $form = Surfaces::of($building, $problems, $recall);
        $problems->throwIfAny();
        $walls = new Walls($building, $form);
        FormFaults::collect($building, $walls, $problems);
        PanelParts::collectFaults($building, $form, $problems);
        DeepOpeningPlace::all($building, $walls, $problems);
        $problems->throwIfAny();
        $panels = new Panels($building, $form);

        $set = WallParts::make($walls)
            ->with(BaseParts::make($building, $walls))
            ->with(BraceParts::make($building, $walls))
            ->with(self::roofs($building, $panels, $walls, $recall))
            ->with(LedgeParts::make($panels, $walls))
            ->with(PaperParts::make($building, $walls))
            ->with(PanelParts::make($building, $walls, $recall))
            ->with(DeepOpeningParts::make($building, $walls))
            ->with(GroundParts::make($building));

        $parts = self::labelled(self::named($building, $set));

        return new self($compressed, $modelled, $form, $walls, $panels, Labels::kept($parts, $printed), $set->joints);
    }

    /** Derives all that lies on the walls and its supports. Of the walls it reads the outlines, and nothing that is let into them. */
    private static function roofs(Building $building, Panels $panels, Walls $walls, Recall $recall): PartSet
    {
        // All of a block but its walls, so that no field is forgotten in the question.
        $blocks = array_map(static fn (Block $b): Block => $b->with(walls: []), $building->blocks);
        $cards = [];
        foreach ($walls->spans() as $span) {
            foreach (array_keys($span->stack->layers) as $k) {
                foreach ($walls->pieces($span, $k) as $piece) {
                    $cards[] = [
                        $piece->part->id,
                        $piece->part->placements,
                        $piece->part->thickness,
                        $piece->shape->outline,
                        $piece->shape->labels,
                    ];
                }
            }
        }
        $question = Recall::question('roofs', $building->methods, $building->scale, $blocks, $walls->form->facets, $cards);

        return $recall->of(
            $question,
            static fn (): PartSet => RoofParts::make($building, $panels, $walls)->with(self::supports($building, $panels, $walls)),
        );
    }

    private static function supports(Building $building, Panels $panels, Walls $walls): PartSet
    {
        $set = new PartSet;
        foreach ($building->methods->supports === 'none' ? [] : $walls->form->blocks as $block) {
            $room = new UnderRoof($panels, $walls, $block);
            $formers = FormerParts::make($room);
            $set = $set->with($formers)->with(BoardParts::make($room, $formers));
        }

        return $set;
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

    /** Where there are several blocks, a part's name says which it belongs to. */
    private static function named(Building $building, PartSet $set): PartSet
    {
        if (count($building->blocks) === 1) {
            return $set;
        }
        $names = array_column(array_map(static fn (Block $b): array => [$b->id, $b->name], $building->blocks), 1, 0);

        return new PartSet(
            array_map(
                static fn (Part $p): Part => $p->with(name: ($names[$p->of->block ?? ''] ?? '').', '.lcfirst($p->name)),
                $set->parts,
            ),
            $set->joints,
        );
    }

    /** @return list<LabelledPart> */
    private static function labelled(PartSet $set): array
    {
        $cuts = array_map(Fingerprint::cut(...), $set->parts);
        $letters = self::letters($cuts, $set->parts);
        $numbers = [];
        $labelled = [];
        foreach ($set->parts as $i => $part) {
            $numbers[$part->letter] = ($numbers[$part->letter] ?? 0) + 1;
            $labelled[] = new LabelledPart(
                $part,
                $part->letter.$numbers[$part->letter],
                $letters[$cuts[$i]] ?? null,
                self::mirrorOf($i, $cuts, $set->parts),
                $cuts[$i],
                Fingerprint::print($part),
            );
        }

        return $labelled;
    }

    /**
     * @param  list<string>  $cuts
     * @param  list<Part>  $parts
     * @return array<string, string> a letter for each shape that is cut more than once
     */
    private static function letters(array $cuts, array $parts): array
    {
        $pieces = [];
        foreach ($cuts as $i => $cut) {
            $pieces[$cut] = ($pieces[$cut] ?? 0) + $parts[$i]->qty();
        }
        $repeated = array_keys(array_filter($pieces, static fn (int $count): bool => $count > 1));

        return array_combine($repeated, array_map(self::letter(...), array_keys($repeated)));
    }

    /** A to Z, then AA, AB … */
    private static function letter(int $index): string
    {
        $letter = '';
        for ($n = $index + 1; $n > 0; $n = intdiv($n - 1, 26)) {
            $letter = chr(65 + ($n - 1) % 26).$letter;
        }

        return $letter;
    }

    /**
     * @param  list<string>  $cuts
     * @param  list<Part>  $parts
     */
    private static function mirrorOf(int $i, array $cuts, array $parts): ?string
    {
        $mirrored = Fingerprint::mirroredCut($parts[$i]);
        if ($mirrored === $cuts[$i]) {
            return null;
        }
        $first = array_search($mirrored, array_slice($cuts, 0, $i), true);

        return $first === false ? null : $parts[$first]->id;
    }
}
