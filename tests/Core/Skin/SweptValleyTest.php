<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Derivation;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Pattern\Rows;
use Chartula\Core\Part\Sweep;
use Chartula\Core\Problem\Check;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** An L under hips at 1:76.2, whose one valley is swept. docs/formulas.md#swept */
final class SweptValleyTest extends TestCase
{
    /** At 45° both ways the valley leans 1 to √2 in either slope; 15 in are 5, and on its line rows sink by 5/√2 · ½. */
    public function testByHand(): void
    {
        $derived = self::derived(45.0);
        self::assertSame([], $derived->dryFit->findings);
        $sweeps = self::sweeps($derived);
        self::assertCount(2, $sweeps);
        foreach ($sweeps as [, $sweep]) {
            self::assertEqualsWithDelta([5.0, M_SQRT1_2], [$sweep->wide, $sweep->lean], 1e-6);
            $up = $sweep->high->minus($sweep->low);
            $middle = $sweep->low->plus($up->times(0.4));
            self::assertEqualsWithDelta(5.0 * M_SQRT1_2 / 2.0, $sweep->place($middle)->distanceTo($middle), 1e-6);
            // Begun 5 off without a bend, and crossed square to it.
            $square = (new Vec2(-$up->y, $up->x))->times(1.0 / $up->length());
            $far = $middle->plus($square->times(5.0));
            self::assertEqualsWithDelta(0.0, $sweep->place($far)->distanceTo($far), 1e-9);
            self::assertEqualsWithDelta($sweep->high, $sweep->place($sweep->high), 1e-9);
            // A row falls along the line by its lean as it goes off it; sunk, it does not.
            $fall = $up->times($sweep->lean / $up->length());
            $row = static fn (float $off): Vec2 => $middle->plus($square->minus($fall)->times($off));
            $along = static fn (Vec2 $p): float => $up->dot($sweep->place($p)) / $up->length();
            self::assertEqualsWithDelta(0.0, ($along($row(0.001)) - $along($row(0.0))) / 0.001, 0.001);
        }
    }

    /** Whatever the pitches, both slopes' rows reach the same place on the line. */
    #[TestWith([45.0, 45.0])]
    #[TestWith([37.5, 37.5])]
    #[TestWith([38.0, 49.5])]
    public function testRowsOfBothSlopesMeet(float $pitch, float $other): void
    {
        $derived = self::derived($pitch, [['edge' => 'edge-1', 'pitch' => $other]]);
        self::assertSame([], $derived->dryFit->findings);
        $sweeps = self::sweeps($derived);
        self::assertCount(2, $sweeps);
        foreach ([0.2, 0.4, 0.6] as $share) {
            $places = array_map(static fn (array $one): array => $one[0]->placements[0]->at(
                $one[1]->place($one[1]->low->plus($one[1]->high->minus($one[1]->low)->times($share))),
            )->toArray(), $sweeps);
            // Their outsides lie a thickness apart where they are cut square.
            self::assertEqualsWithDelta($places[0], $places[1], 2.5);
            $sunk = array_map(static function (array $one) use ($share): float {
                $at = $one[1]->low->plus($one[1]->high->minus($one[1]->low)->times($share));

                return $one[1]->place($at)->distanceTo($at);
            }, $sweeps);
            self::assertEqualsWithDelta($sunk[0], $sunk[1], 0.01);
        }
    }

    /** What is drawn: the joint between two rows crosses the line square to it, half a sweep lower than it would lie. */
    public function testWhatIsDrawnCurves(): void
    {
        [$paper, $sweep] = self::sweeps(self::derived(45.0))[0];
        $art = $paper->art;
        assert($art instanceof FaceArt && $art->pattern instanceof Rows);
        $label = array_values(array_filter(self::derived(45.0)->kit->parts, static fn ($p): bool => $p->part->id === $paper->id))[0];
        $box = $paper->outline->ring->bounds();
        // Up the line, half a millimetre inside it, the ends of rows as they are painted.
        $up = $sweep->high->minus($sweep->low)->times(1.0 / $sweep->high->distanceTo($sweep->low));
        $in = (new Vec2(-$up->y, $up->x))->times(0.05);
        $in = $paper->region()->contains($sweep->low->plus($up->times(10.0))->plus($in)) ? $in : $in->times(-1.0);
        $painted = [];
        foreach (ArtSymbol::of($label, $art)->paths as $path) {
            $isGround = $path->fill === $art->pattern->ground();
            array_push($painted, ...array_map(static fn (array $line): array => [new Ring($line), $isGround], $path->lines));
        }
        $ends = [];
        $was = null;
        for ($t = 6.0; $t < 20.0; $t += 0.02) {
            $at = $sweep->low->plus($up->times($t))->plus($in)->minus(new Vec2($box->x0, $box->y0));
            $ground = true;
            foreach ($painted as [$ring, $isGround]) {
                $ground = $ring->contains($at) ? $isGround : $ground;
            }
            $ends = $ground && $was === false ? [...$ends, $t] : $ends;
            $was = $ground;
        }
        // Where the next row begins over each, sunk by half a sweep; joints within rows come between.
        $asked = 0;
        for ($row = 1; $row < 20; $row++) {
            $t = ($art->datum + $row * $art->pattern->rows[0] - $sweep->low->y) / $up->y - 5.0 * M_SQRT1_2 / 2.0;
            if ($t > 7.0 && $t < 19.0) {
                self::assertLessThan(0.15, min([INF, ...array_map(static fn (float $end): float => abs($end - $t), $ends)]), "row $row");
                $asked++;
            }
        }
        self::assertGreaterThan(2, $asked);
    }

    /** Boards do not turn, nor strips of slates: that is said. */
    public function testWhatCannotTurnIsSaid(): void
    {
        $said = static fn (Derivation $d): array => array_values(array_map(
            static fn (Check $c): string => $c->text,
            array_filter($d->checks, static fn (Check $c): bool => $c->code === 'roof.swept'),
        ));
        self::assertSame([], $said(self::derived(45.0)));
        self::assertStringContainsString('corrugated', $said(self::derived(45.0, [], ['finish' => 'corrugated']))[0] ?? '');
        self::assertStringContainsString('in strips', $said(self::derived(45.0, [], ['laid' => 'strips']))[0] ?? '');
    }

    /**
     * @param  list<array<string, mixed>>  $edges
     * @param  array<string, mixed>  $more
     */
    private static function derived(float $pitch, array $edges = [], array $more = []): Derivation
    {
        $ring = [['0ft', '0ft'], ['14ft', '0ft'], ['14ft', '14ft'], ['30ft', '14ft'], ['30ft', '28ft'], ['0ft', '28ft']];
        $document = BuildingGenerator::with(Kits::box('80mm', '60mm', '800mm', 40.0), 'scale', '1:76.2');
        $document = BuildingGenerator::with($document, 'blocks.0.footprint', (object) ['polygon' => $ring]);

        return Kits::of(BuildingGenerator::with($document, 'blocks.0.roof', (object) ($more + [
            'kind' => 'hip', 'pitch' => $pitch, 'finish' => 'slate', 'valleys' => 'swept', 'overhang' => (object) ['eaves' => '9in'],
        ] + ($edges === [] ? [] : ['edges' => array_map(static fn (array $e): object => (object) $e, $edges)]))));
    }

    /** @return list<array{Part, Sweep}> */
    private static function sweeps(Derivation $derived): array
    {
        $sweeps = [];
        foreach ($derived->kit->parts as $part) {
            foreach ($part->part->art instanceof FaceArt ? $part->part->art->sweeps : [] as $sweep) {
                $sweeps[] = [$part->part, $sweep];
            }
        }

        return $sweeps;
    }
}
