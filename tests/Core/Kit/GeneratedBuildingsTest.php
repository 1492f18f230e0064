<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Derivation;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\Workings;
use Chartula\Core\Part\Outline;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\Property;
use Tests\Support\Sample;

/** What must hold for every building, tried on generated ones with fixed seeds. */
#[Group('property')]
final class GeneratedBuildingsTest extends TestCase
{
    private const USUAL = 45;

    private const DEEP = 1000;

    /** @return iterable<int, stdClass> sound documents by seed */
    private static function documents(int $usual = self::USUAL): iterable
    {
        $last = Sample::isDeep() ? self::DEEP : $usual;
        for ($seed = 1; $seed <= $last; $seed++) {
            yield $seed => (new BuildingGenerator($seed))->document();
        }
    }

    public function testEveryBuildingGivesAKitThatGoesTogetherOrAClearFault(): void
    {
        $kinds = ['made' => 0, 'sides' => 0, 'ridge y' => 0, 'layers 3 or 4' => 0];
        Property::holds(self::documents(), function (stdClass $document) use (&$kinds): ?string {
            try {
                $derived = Kits::of($document);
            } catch (InvalidInput $e) {
                return array_filter($e->problems, static fn (Problem $p): bool => $p->text() === '') === []
                    ? null
                    : 'a fault without words';
            }
            $kinds['made']++;
            $kinds['sides'] += $derived->building->methods->through === 'sides' ? 1 : 0;
            $kinds['ridge y'] += $derived->building->blocks[0]->roof->ridge === 'y' ? 1 : 0;
            $kinds['layers 3 or 4'] += count($derived->building->methods->wall()->layers) > 2 ? 1 : 0;

            return $derived->dryFit->findings[0]->text ?? null;
        });
        foreach (['made', 'sides', 'ridge y', 'layers 3 or 4'] as $kind) {
            self::assertGreaterThanOrEqual(15, $kinds[$kind], "of the kind “{$kind}”: ".json_encode($kinds));
        }
    }

    public function testCorruptionsReportTheirOwnPath(): void
    {
        $missed = [];
        foreach (range(1, 5) as $seed) {
            foreach ((new BuildingGenerator($seed))->corruptions() as [$document, $path]) {
                try {
                    BuildingReader::fromDocument($document);
                    $missed[] = "seed $seed: $path was taken";
                } catch (InvalidInput $e) {
                    $paths = array_map(static fn (Problem $p): string => $p->path, $e->problems);
                    if (! in_array($path, $paths, true)) {
                        $missed[] = "seed $seed: $path gave ".implode(', ', $paths);
                    }
                    foreach ($e->problems as $problem) {
                        self::assertStringNotContainsString('{', $problem->text(), "$problem->code leaves a fact out");
                    }
                }
            }
        }
        self::assertSame([], $missed);
    }

    public function testMovedAndTurnedBuildingsGiveTheSameParts(): void
    {
        $differ = [];
        foreach (self::documents(12) as $seed => $document) {
            $here = self::kitOrNull($document);
            $document = BuildingGenerator::with($document, 'blocks.0.turn', 61.25);
            $document = BuildingGenerator::with($document, 'blocks.0.at', ['-17ft', '3.21m']);
            $there = self::kitOrNull($document);
            if (self::cuts($here) !== self::cuts($there) || $there?->dryFit->goesTogether() === false) {
                $differ[] = $seed;
            }
        }
        self::assertSame([], $differ);
    }

    public function testAMirroredBuildingGivesTheSameWorkWithMirroredParts(): void
    {
        $differ = [];
        foreach (self::documents(12) as $seed => $document) {
            $here = self::kitOrNull($document);
            $there = self::kitOrNull(self::mirrored($document));
            if (($here === null) !== ($there === null)) {
                $differ[] = $seed;
            } elseif ($here !== null && $there !== null && abs(self::area($here) - self::area($there)) > 0.01) {
                $differ[] = "$seed: ".self::area($here).' and '.self::area($there);
            }
        }
        self::assertSame([], $differ);
    }

    public function testTwiceTheSizeInPaperIsTwiceTheLengths(): void
    {
        // Panels of the roof do not depend on thickness: doubling the scale halves every length.
        $one = Kits::of(Kits::box('7531mm', '4219mm', '3307mm', 37.5, '211mm', '97mm'))->kit->part('main.front-slope.carrier')->part;
        $document = Kits::box('7531mm', '4219mm', '3307mm', 37.5, '211mm', '97mm');
        $document = BuildingGenerator::with($document, 'scale', '1:2');
        $half = Kits::of($document)->kit->part('main.front-slope.carrier')->part;
        self::assertEqualsWithDelta($one->width() / 2.0, $half->width(), 1e-9);
        self::assertEqualsWithDelta($one->height() / 2.0, $half->height(), 1e-9);
        self::assertEqualsWithDelta($one->region()->area() / 4.0, $half->region()->area(), 1e-6);
    }

    public function testSlopesCoverThePlanAndWorkingsReachTheirFigures(): void
    {
        foreach (self::documents(12) as $seed => $document) {
            $derived = self::kitOrNull($document);
            if ($derived === null) {
                continue;
            }
            $roof = $derived->building->blocks[0]->roof;
            $ratio = $derived->building->scale->ratio;
            $plan = 0.0;
            foreach ($derived->kit->panels->layer($derived->kit->panels->carrier()) as $panel) {
                $plan += $panel->part->region()->area() * $panel->facet->pitch->cos();
            }
            [$w, $d] = array_map(static fn (int $i): float => $derived->building->blocks[0]->footprint->length($i)->mm / $ratio, [0, 1]);
            $out = array_map(static fn (RoofEdge $e): float => $e->overhang->mm / $ratio, $roof->edges);
            self::assertEqualsWithDelta(($w + $out[1] + $out[3]) * ($d + $out[0] + $out[2]), $plan, 0.001, "seed $seed");
            foreach ($derived->kit->parts as $part) {
                foreach ($part->part->workings as $of => $figure) {
                    self::assertEqualsWithDelta($figure->mm, Workings::evaluate($figure->workings($of)['steps']), 0.001);
                    self::assertEqualsWithDelta(
                        match ($of) {
                            'width' => $part->part->width(),
                            'foot' => self::foot($part->part->outline),
                            default => $part->part->height(),
                        },
                        $figure->mm,
                        0.001,
                        "seed $seed, {$part->part->id} $of",
                    );
                }
                self::assertGreaterThan(0.0, $part->part->outline->ring->signedArea(), "{$part->part->id} runs clockwise");
            }
        }
    }

    private static function kitOrNull(stdClass $document): ?Derivation
    {
        try {
            return Kits::of($document);
        } catch (InvalidInput) {
            return null;
        }
    }

    /** @return array<string, string> */
    private static function cuts(?Derivation $derived): array
    {
        $cuts = [];
        foreach ($derived->kit->parts ?? [] as $part) {
            $cuts[$part->part->id] = $part->cut;
        }

        return $cuts;
    }

    private static function area(Derivation $derived): float
    {
        return array_sum(
            array_map(static fn (LabelledPart $p): float => $p->part->region()->area() * $p->part->qty(), $derived->kit->parts),
        );
    }

    /** The same building seen in a mirror: openings counted from the other end, left and right exchanged. */
    private static function mirrored(stdClass $document): stdClass
    {
        $block = $document->blocks[0]; // @phpstan-ignore offsetAccess.nonOffsetAccessible (the generator's own document)
        assert(
            $block instanceof stdClass
                && is_array($block->walls)
                && $block->footprint instanceof stdClass
                && is_array($block->footprint->rect),
        );
        foreach ($block->walls as $wall) {
            assert($wall instanceof stdClass && is_int($wall->edge) && is_array($wall->openings) && $document->styles instanceof stdClass);
            $length = $block->footprint->rect[$wall->edge % 2];
            foreach ($wall->openings as $opening) {
                assert($opening instanceof stdClass && is_string($opening->style) && is_string($opening->from) && is_string($length));
                $style = $document->styles->{$opening->style};
                assert($style instanceof stdClass && is_string($style->w));
                $opening->from = round((float) $length - (float) $opening->from - (float) $style->w, 4).'mm';
            }
            $wall->edge = [0 => 0, 1 => 3, 2 => 2, 3 => 1][$wall->edge];
        }

        return $document;
    }

    /** How wide the foot of an outline is, doors and all. */
    private static function foot(Outline $outline): float
    {
        $xs = [];
        foreach ($outline->edgesNamed('foot') as $edge) {
            array_push($xs, $outline->ring->point($edge)->x, $outline->ring->point($edge + 1)->x);
        }

        return $xs === [] ? 0.0 : max($xs) - min($xs);
    }
}
