<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/**
 * Doors that stand open, 16 by 28, their left jamb 28 from the left end of the office's back, 72 long and seen from behind: what is x along
 * it stands at 72 − x, and its outside at y 48. docs/formulas.md#leaves
 */
final class StanceTest extends TestCase
{
    private const PLACE = ['blocks.0.walls.2.openings.0.from' => '7ft'];

    /** It turns about the front edge of its side, a tenth from the jamb and 1.5 deep: its other side then stands 15.8 · sin out of that. */
    #[TestWith(['left', 30.0])]
    #[TestWith(['right', 30.0])]
    #[TestWith(['left', 90.0])]
    #[TestWith(['right', 72.5])]
    public function testALeafTurnsAboutItsSide(string $hinge, float $angle): void
    {
        $derived = self::derived(['kind' => 'plain', 'open' => $angle, 'hinge' => $hinge]);
        self::assertSame([], $derived->dryFit->findings);
        $leaf = $derived->kit->part('main.back.leaf.w1')->part;
        $ends = [$leaf->placements[0]->at(new Vec2(0.0, 0.0)), $leaf->placements[0]->at(new Vec2(15.8, 0.0))];
        [$pin, $far] = $hinge === 'left' ? $ends : array_reverse($ends);
        self::assertEqualsWithDelta([72.0 - ($hinge === 'left' ? 28.1 : 43.9), 48.0 - 1.5], [$pin->x, $pin->y], 1e-6);
        [$out, $along] = [15.8 * sin(deg2rad($angle)), 15.8 * cos(deg2rad($angle))];
        self::assertEqualsWithDelta([$hinge === 'left' ? -$along : $along, $out], [$far->x - $pin->x, $far->y - $pin->y], 1e-6);
        // Its card lies within the opening, and its outside looks outwards.
        $back = $leaf->placements[0]->at(new Vec2($hinge === 'left' ? 0.0 : 15.8, 0.0), -$leaf->thickness);
        self::assertGreaterThan(72.0 - 44.0, $back->x);
        self::assertLessThan(72.0 - 28.0, $back->x);
    }

    /** Panels, leaf and glass turn together: each lies on the one before it wherever that has gone. */
    public function testAllItsSheetsTurnTogether(): void
    {
        $said = ['kind' => 'panelled', 'panels' => [1, 1], 'glazed' => '4ft', 'open' => 40];
        $derived = self::derived($said);
        self::assertSame([], $derived->dryFit->findings);
        [$face, $leaf, $glass] = array_map(
            static fn (string $layer): Part => $derived->kit->part("main.back.$layer.w1")->part,
            ['leaf-face', 'leaf', 'glazing'],
        );
        $off = static fn (Part $a, Part $b): float => -$a->placements[0]->height($b->placements[0]->origin);
        self::assertEqualsWithDelta([0.64, 1.28], [$off($face, $leaf), $off($face, $glass)], 1e-6);
    }

    /**
     * What slides is larger by 3 in, 1.0, at both sides and its top, and 1 in off the ground; less a tenth all round 17.8 by 28.467. Its
     * back lies on the wall's paper. Open by 60 % to the right it has gone 0.6 · 18.
     */
    public function testOneSlidesBeforeItsWall(): void
    {
        foreach (['left' => -1.0, 'right' => 1.0] as $way => $sign) {
            $leaf = self::derived(['slides' => $way, 'slid' => 60])->kit->part('main.back.leaf.w1')->part;
            self::assertEqualsWithDelta([17.8, 29.0 - 1.0 / 3.0 - 0.2], [$leaf->width(), $leaf->height()], 1e-6);
            $at = $leaf->placements[0]->origin;
            self::assertEqualsWithDelta([72.0 - (27.1 + $sign * 10.8), 48.0 + 0.1 + 0.64], [$at->x, $at->y], 1e-6);
        }
        // Two halves of 9 go apart all the way: the left one ends where it began, and their braces mirror each other.
        $derived = self::derived(['slides' => 'apart', 'slid' => 100, 'double' => true, 'kind' => 'braced', 'rail' => '6in']);
        self::assertSame([], $derived->dryFit->findings);
        [$left, $right] = array_map(
            static fn (string $layer): Part => $derived->kit->part("main.back.$layer.w1")->part,
            ['leaf-face', 'leaf-face-right'],
        );
        self::assertEqualsWithDelta([72.0 - 18.1, 72.0 - 45.1], [$left->placements[0]->origin->x, $right->placements[0]->origin->x], 1e-6);
        self::assertEqualsWithDelta(new Vec3(0.0, 1.0, 0.0), $left->placements[0]->normal, 1e-9);
        $corners = static fn (Ring $r): array => array_map(static fn (Vec2 $p): string => sprintf('%.3f %.3f', $p->x, $p->y), $r->points);
        $all = array_merge(...array_map($corners, $left->holes));
        $turned = array_merge(...array_map(static fn (Ring $r): array => $corners($r->mirrored($right->width() / 2.0)), $right->holes));
        sort($all);
        sort($turned);
        self::assertSame($all, $turned);
    }

    public function testWhatIsOpenIsSaid(): void
    {
        $said = static fn (Derivation $d): array => array_values(array_filter(
            array_map(static fn (Check $c): string => $c->code, $d->checks),
            static fn (string $code): bool => str_starts_with($code, 'door.'),
        ));
        self::assertSame(['door.open'], $said(self::derived(['open' => 20])));
        self::assertSame([], $said(self::derived(['slides' => 'left'])));
        $near = ['blocks.0.walls.2.openings.0.from' => '12ft'];
        self::assertSame(['door.past-wall'], $said(self::derived(['slides' => 'right', 'slid' => 100], $near)));
        foreach ([['open' => 20, 'double' => true], ['open' => 20, 'slides' => 'left']] as $leaf) {
            try {
                self::derived($leaf);
                self::fail('no fault');
            } catch (InvalidInput $e) {
                self::assertSame('styles.own.leaf.open', $e->problems[0]->path);
            }
        }
    }

    /** On houses of every class what closed before closes with its doors open; only leaves of two openings may get in each other's way. */
    public function testHousesClose(): void
    {
        $ways = [
            ['open' => 35], ['open' => 85, 'hinge' => 'right'], ['slides' => 'left', 'slid' => 45], ['slides' => 'right'],
            ['slides' => 'apart', 'slid' => 80, 'kind' => 'braced', 'rail' => '45mm'],
        ];
        $made = 0;
        for ($i = 0; $i < (Sample::isDeep() ? 90 : 10); $i++) {
            // Every eleventh has openings.
            $seed = 11 * (($i + (Sample::isDeep() ? 0 : Sample::seed())) % 90);
            $document = (new HouseGenerator($seed))->document();
            try {
                $isSound = Kits::of($document)->dryFit->findings === [];
                foreach (BuildingReader::fromDocument($document)->styles as $style) {
                    $document = BuildingGenerator::with($document, "styles.$style->id", (object) [
                        'kind' => 'door', 'w' => $style->w->mm.'mm', 'h' => $style->h->mm.'mm', 'leaf' => (object) $ways[$i % 5],
                    ]);
                }
                $derived = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            foreach ($isSound ? $derived->dryFit->findings : [] as $finding) {
                self::assertSame('overlap', $finding->code, "seed $seed: $finding->text");
                self::assertMatchesRegularExpression('/\.leaf\S* goes .* into \S+\.leaf/', $finding->text, "seed $seed");
            }
            $made += $isSound ? 1 : 0;
        }
        self::assertGreaterThan(0, $made);
    }

    /**
     * @param  array<string, mixed>  $leaf
     * @param  array<string, mixed>  $more
     */
    private static function derived(array $leaf, array $more = self::PLACE): Derivation
    {
        return Filled::of(['kind' => 'door', 'w' => '4ft', 'h' => '7ft', 'leaf' => (object) $leaf], $more);
    }
}
