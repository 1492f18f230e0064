<?php

declare(strict_types=1);

namespace Chartula\Core;

use Chartula\Core\Building\Beside;
use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\Edit\NewBlock;
use Chartula\Core\Building\Edit\Ruler;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Opening;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Recall\Recall;
use stdClass;

/**
 * Finds where beside a block a new one can stand so that the building is sound and its kit closes: over the usual edge first, then along
 * it, over the others, and smaller. What cannot stand anywhere is refused before anything is spoilt.
 */
final readonly class Additions
{
    private const SIZES = [1.0, 0.75, 0.5];

    private const ALONG = [0.0, 0.6, -0.6];

    /** Of a block that is there so many parts are cut at the least: walls, a roof. */
    private const PARTS = 3;

    /** What lies on another but for less lies on it. */
    private const MOST = 0.99;

    /** Less is no overlap: a tenth of a metre square, real. */
    private const LEAST_MM2 = 10_000.0;

    /** So many places are derived at the most. */
    private const TRIES = 16;

    /**
     * The edits with the place that was found for each new block.
     *
     * @param  list<stdClass>  $edits
     * @param  ?bool  $closes  whether the building is sound and closes as it is, where that is known
     * @return list<stdClass>
     *
     * @throws InvalidInput edit.no-place, edit.not-yet
     */
    public static function placed(stdClass $document, array $edits, ?bool $closes = null): array
    {
        $recall = new Recall;
        foreach ($edits as $i => $edit) {
            if (($edit->op ?? null) === 'add-block' && ! isset($edit->edge)) {
                // What is added to a building with faults stands where it would usually.
                $closes ??= self::refusal($document, $recall) === null;
                $edits[$i] = $closes ? self::place($document, $edit, $recall, $i) : $edit;
            } elseif (in_array($edit->op ?? null, OpeningPlaces::OPS, true)) {
                $edits[$i] = OpeningPlaces::placed($document, $edit);
            } elseif (($edit->op ?? null) === PlotPlaces::OP) {
                $edits[$i] = PlotPlaces::placed($document, $edit, $i);
            }
        }

        return $edits;
    }

    /** @throws InvalidInput */
    private static function place(stdClass $document, stdClass $edit, Recall $recall, int $i): stdClass
    {
        $why = null;
        // Where a window is covered already a glance at the plan says nothing new; and rather than nowhere it stands before one.
        $blind = static fn (): null => null;
        $glances = self::covered(self::read($document)) === null ? [self::covered(...), $blind] : [$blind];
        foreach ($glances as $glance) {
            $left = self::TRIES;
            foreach (self::tries($document, $edit) as $try) {
                try {
                    $then = Edits::apply($document, [$try])->document;
                    $building = self::read($then);
                    $refusal = $glance($building) ?? self::swallowed($building);
                    if ($refusal === null && $left-- > 0) {
                        $refusal = self::refusal($then, $recall, self::newest($building)?->id);
                        if ($refusal === null) {
                            return $try;
                        }
                    }
                } catch (InvalidInput $e) {
                    $refusal = $e->problems[0]->text();
                }
                $why ??= $refusal;
            }
        }
        $what = is_string($edit->kind ?? null) ? $edit->kind : 'block';
        throw InvalidInput::at("edits.$i", 'edit.no-place', ['what' => $what, 'why' => $why ?? '']);
    }

    private static function read(stdClass $document): ?Building
    {
        return BuildingReader::reading($document)->building;
    }

    /** @return list<stdClass> the edit with every place that may do, the likeliest first */
    private static function tries(stdClass $document, stdClass $edit): array
    {
        $all = is_array($document->blocks ?? null) ? $document->blocks : [];
        $blocks = array_filter($all, static fn (mixed $b): bool => $b instanceof stdClass);
        $host = array_values(array_filter($blocks, static fn (stdClass $b): bool => ($b->id ?? null) === ($edit->beside ?? null)))[0]
            ?? array_values($blocks)[0] ?? new stdClass;
        $names = Ruler::edges($host);
        $kind = in_array($edit->kind ?? null, NewBlock::KINDS, true) ? $edit->kind : 'wing';
        $usual = $names[NewBlock::usualEdge($kind)] ?? $names[0];
        $tries = [];
        foreach (self::SIZES as $size) {
            foreach (array_values(array_unique([$usual, ...$names])) as $n => $edge) {
                foreach (self::ALONG as $along) {
                    // Moved along it is nearest to what was meant, then over another edge, then smaller.
                    $off = ($along === 0.0 ? 0.0 : 1.0) + ($n === 0 ? 0.0 : 1.5) + 8.0 * (1.0 - $size);
                    $tries[] = [$off, (object) (['edge' => $edge, 'along' => $along, 'size' => $size] + get_object_vars($edit))];
                }
            }
        }
        usort($tries, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($tries, 1);
    }

    /** What a glance at the plan tells already: that a block would stand in front of an opening. */
    private static function covered(?Building $building): ?string
    {
        foreach ($building->blocks ?? [] as $block) {
            foreach ($block->walls as $wall) {
                $boxes = $wall->openings === [] || $building === null ? [] : Beside::of($building, $block->id, $wall->edge);
                foreach ($boxes as $box) {
                    if (array_filter($wall->openings, static fn (Opening $o): bool => self::isBehind($o, $box)) !== []) {
                        return "it would stand in front of an opening in the $wall->name wall of $block->name";
                    }
                }
            }
        }

        return null;
    }

    /** Whether the new block, which is the last, stands in another that it does not stand on. */
    private static function swallowed(?Building $building): ?string
    {
        $new = self::newest($building);
        if ($new === null) {
            return null;
        }
        foreach ($building->blocks ?? [] as $other) {
            $shared = $other->id === $new->id ? 0.0 : Clip::sharedArea(new Region($new->standing()), new Region($other->standing()));
            // A dormer's footprint lies in that of the roof it stands on.
            $isOn = $shared > self::MOST * $new->standing()->area() && $new->eaves->mm > $other->eaves->mm;
            if ($shared > self::LEAST_MM2 && ! $isOn) {
                return "it would stand in $other->name";
            }
        }

        return null;
    }

    private static function newest(?Building $building): ?Block
    {
        $blocks = $building->blocks ?? [];

        return $blocks === [] ? null : $blocks[count($blocks) - 1];
    }

    private static function isBehind(Opening $opening, Box2 $box): bool
    {
        for ($i = 0; $i < $opening->count; $i++) {
            $place = $opening->extent($i);
            $isAside = $place->from >= $box->x1 || $place->to <= $box->x0;
            if (! $isAside && $opening->sill->mm < $box->y1 && $opening->sill->mm + $opening->style->h->mm > $box->y0) {
                return true;
            }
        }

        return false;
    }

    /**
     * Why it cannot be made, or does not close; null where it does.
     *
     * @param  ?string  $new  the id of a block of which something must be built
     */
    private static function refusal(stdClass $document, Recall $recall, ?string $new = null): ?string
    {
        try {
            $derived = Derivation::of(BuildingReader::fromDocument($document), JsonText::encode($document), $recall);
        } catch (InvalidInput $e) {
            return $e->problems[0]->text();
        }
        $built = array_map(static fn (LabelledPart $p): ?string => $p->part->of->block, $derived->kit->parts);
        if ($new !== null && count(array_keys($built, $new, true)) < self::PARTS) {
            return 'it would disappear in another block';
        }
        $finding = $derived->dryFit->toArray()['findings'][0] ?? null;

        return $finding === null ? null : $finding['text'];
    }
}
