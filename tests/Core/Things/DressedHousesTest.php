<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Score;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** Houses as people measure them, with things of awkward sizes round their windows. */
#[Group('property')]
final class DressedHousesTest extends TestCase
{
    private const SILLS = [[75.0, 55.0, 76.2], [65.0, 45.0, 57.15], [115.0, 35.0, 101.6], [90.0, 5.0, 0.0]];

    /** What goes together bare goes together dressed; a sill that is raised lies where the document says, by its placed paper alone. */
    public function testWhatGoesTogetherBareGoesTogetherDressed(): void
    {
        $tried = $raised = $bands = 0;
        foreach (range(0, Sample::isDeep() ? 1999 : 299) as $seed) {
            $bare = (new HouseGenerator($seed))->document();
            if (! str_contains((string) json_encode($bare), '"style":"w"')) {
                continue;
            }
            $random = new Randomizer(new Mt19937($seed * 7 + 3));
            $sill = self::SILLS[$random->getInt(0, 3)];
            try {
                $isSound = Kits::of($bare)->dryFit->goesTogether();
            } catch (InvalidInput) {
                continue;
            }
            $derived = Kits::of(self::dressed($bare, $sill, $random));
            $tried++;
            if ($isSound) {
                self::assertSame([], $derived->dryFit->findings, "seed $seed");
            }
            $raised += self::assertSills($derived, $sill, $seed);
            $bands += self::assertBands($derived, $seed);
        }
        self::assertGreaterThan(20, $tried);
        self::assertGreaterThan(10, $raised);
        self::assertGreaterThan(10, $bands);
    }

    /** @param  array{float, float, float}  $sill  height, proud and beyond, real millimetres */
    private static function dressed(stdClass $document, array $sill, Randomizer $random): stdClass
    {
        $pick = static fn (array $some): mixed => $some[$random->getInt(0, count($some) - 1)];
        $isFlat = ! str_contains((string) json_encode($document), 'segmental');
        $as = $pick(['raised', 'printed', 'both']);
        $dress = [
            $isFlat
                ? ['kind' => 'lintel', 'of' => $pick(['stone', 'timber', 'steel']), 'h' => '185mm', 'bearing' => '115mm', 'as' => $as]
                : ['kind' => 'arch', 'of' => $pick(['rowlock', 'gauged', 'soldier']), 'as' => $as],
            $pick([['kind' => 'hood-mould', 'h' => '65mm', 'as' => 'both'], ['kind' => 'keystone', 'w' => '6in'], ['kind' => 'quoins']]),
            ['kind' => 'sill', 'of' => $pick(['stone', 'brick', 'tile']), 'h' => "$sill[0]mm", 'proud' => "$sill[1]mm",
                'beyond' => "$sill[2]mm", 'as' => 'both'],
        ];
        $papered = $random->getInt(0, 1) === 1
            ? json_decode(str_replace('"edge":', '"finish":"brick-flemish","edge":', (string) json_encode($document)))
            : $document;
        assert($papered instanceof stdClass);
        foreach (is_array($papered->blocks) ? $papered->blocks : [] as $block) {
            self::band($block, $random);
        }

        return BuildingGenerator::with($papered, 'styles.w.dress', json_decode((string) json_encode($dress)));
    }

    /** A band of an awkward height along some of the walls. */
    private static function band(mixed $block, Randomizer $random): void
    {
        if (! $block instanceof stdClass || ! is_array($block->walls ?? null)) {
            return;
        }
        $features = [];
        // Round the block at one height, or here and there.
        $round = $random->getInt(0, 1) === 1 ? [(65 + 5 * $random->getInt(0, 30)).'mm', (305 + 5 * $random->getInt(0, 400)).'mm'] : null;
        foreach ($block->walls as $wall) {
            if ($wall instanceof stdClass && is_string($wall->edge ?? null) && $random->getInt(0, 3) > 0) {
                $own = [(65 + 5 * $random->getInt(0, 30)).'mm', (305 + 5 * $random->getInt(0, 400)).'mm'];
                $on = ['edge' => $wall->edge, 'up' => ($round ?? $own)[1]]
                    + ($round === null ? ['from' => (5 * $random->getInt(0, 60)).'mm'] : []);
                $features[] = [
                    'kind' => 'band', 'of' => ['stone', 'brick', 'edge', 'tile'][$random->getInt(0, 3)], 'as' => 'both',
                    'h' => ($round ?? $own)[0], 'proud' => (20 + 15 * $random->getInt(0, 6)).'mm', 'on' => $on,
                ];
            }
        }
        $block->features = json_decode((string) json_encode($features));
    }

    /**
     * Every band lies as high as the document says and over no hole, by its placed paper and the placed card alone.
     *
     * @return int how many pieces of bands there are
     */
    private static function assertBands(Derivation $derived, int $seed): int
    {
        $count = 0;
        $building = $derived->kit->modelled->building;
        foreach ($derived->kit->walls->spans() as $span) {
            foreach ($derived->kit->parts as $part) {
                $isOf = static fn (Feature $f): bool => $f->id === $part->part->of->feature && $f->place?->edge === $span->form->wall->edge;
                $own = array_values(array_filter($span->block->features, $isOf));
                $isPaper = str_starts_with($part->part->of->layer, 'band') && $part->part->scores !== [];
                if (! $isPaper || $own === [] || $part->part->of->block !== $span->block->id) {
                    continue;
                }
                $count++;
                $box = Box2::around(array_map(
                    static fn (Score $s): Vec2 => $span->form->frame->project($part->part->placements[0]->at($s->from)),
                    $part->part->scores,
                ));
                $foot = ($own[0]->place?->up->mm ?? 0.0) / $building->scale->ratio;
                $high = ($own[0]->said->real('h')->mm ?? 0.0) / $building->scale->ratio;
                self::assertEqualsWithDelta([$foot, $foot + $high], [$box->y0, $box->y1], 1e-6, "seed $seed");
                foreach ($derived->kit->walls->facing($span, true) as $piece) {
                    foreach ($piece->part->holes as $hole) {
                        // The paper that turns in finishes it.
                        $open = Box2::around(array_map(
                            static fn (Vec2 $p): Vec2 => $span->form->frame->project($piece->part->placements[0]->at($p)),
                            $hole->points,
                        ))->grown(-$span->form->turnIn);
                        $isApart = $open->x1 < $box->x0 + 0.01 || $open->x0 > $box->x1 - 0.01
                            || $open->y1 < $box->y0 + 0.1 || $open->y0 > $box->y1 - 0.1;
                        self::assertTrue($isApart, "seed $seed: a band over a hole");
                    }
                }
            }
        }

        return $count;
    }

    /**
     * @param  array{float, float, float}  $sill
     * @return int how many were raised
     */
    private static function assertSills(Derivation $derived, array $sill, int $seed): int
    {
        $scale = $derived->kit->modelled->building->scale;
        $raised = 0;
        foreach ($derived->kit->walls->spans() as $span) {
            foreach ($derived->kit->walls->facing($span, true) as $piece) {
                foreach ($piece->shape->openings as $opening) {
                    $hole = $piece->part->holes[$piece->shape->holeOf[$opening->id] ?? -1] ?? null;
                    $paper = self::paperOf($derived, "{$span->block->id}.{$span->name()}.sill-paper.{$opening->opening->id}");
                    if ($hole === null || $paper === null) {
                        continue;
                    }
                    $box = $hole->bounds()->grown(-$span->form->turnIn);
                    $wall = $piece->part->placements[0];
                    $faces = [];
                    foreach ($paper->placements as $frame) {
                        $faces[] = array_map(static fn (Score $s): Vec2 => $wall->project($frame->at($s->from)), $paper->scores);
                    }
                    $raised += self::lies($faces, self::wanted($box, $sill, $scale)) ? 1 : 0;
                }
            }
        }
        $made = array_filter($derived->kit->parts, static fn ($p): bool => str_contains($p->part->id, '.sill-paper.'));
        $pieces = array_sum(array_map(static fn ($p): int => $p->part->qty(), $made));
        self::assertSame($pieces, $raised, "seed $seed: every sill lies under an opening, as far out and as deep as is said");

        return $raised;
    }

    /**
     * @param  array{float, float, float}  $sill
     * @return list<array{float, float}>
     */
    private static function wanted(Box2 $box, array $sill, Scale $scale): array
    {
        [$left, $right, $foot] = [$box->x0, $box->x1, $box->y0];
        [$h, $b] = [$sill[0] / $scale->ratio, $sill[2] / $scale->ratio];

        return [[$left - $b, $foot - $h], [$right + $b, $foot - $h], [$right + $b, $foot], [$left - $b, $foot]];
    }

    /**
     * @param  list<list<Vec2>>  $faces
     * @param  list<array{float, float}>  $wanted
     */
    private static function lies(array $faces, array $wanted): bool
    {
        foreach ($faces as $face) {
            $off = array_map(static fn (Vec2 $p, array $w): float => hypot($p->x - $w[0], $p->y - $w[1]), $face, $wanted);
            if (max([0.0, ...$off]) < 1e-6) {
                return true;
            }
        }

        return false;
    }

    private static function paperOf(Derivation $derived, string $id): ?Part
    {
        foreach ($derived->kit->parts as $part) {
            // Of a row it is called by its first.
            if ($part->part->id === $id) {
                return $part->part;
            }
        }

        return null;
    }
}
