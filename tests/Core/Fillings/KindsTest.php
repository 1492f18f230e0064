<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\GlassArt;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Pattern\Bricks;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use Chartula\Core\Shell\OpeningCut;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** Leaves and fillings of every kind, 16 by 28 at 1:76.2 where nothing else is said, rails of 6 in, 2.000. docs/formulas.md#leaves */
final class KindsTest extends TestCase
{
    private const LEAF = ['rail' => '6in'];

    /**
     * Three ledges: fields of 16 − 2 · 2.1 = 11.8 by (28 − 2 · 2.1 − 2)/2 = 10.9, the middle one midway between the others. A brace takes
     * what lies within 1.0 of the diagonal: √(11.8² + 10.9²) = 16.064; beside it two triangles of 11.8 − 16.064/10.9 by 10.9 − 16.064/11.8.
     */
    public function testBracesRiseFromTheSideWhereALeafHangs(): void
    {
        foreach (['left', 'right'] as $hinge) {
            [$face, $leaf] = self::parts(['kind' => 'braced', 'hinge' => $hinge], ['leaf-face', 'leaf']);
            self::assertCount(4, $face->holes);
            [$w, $h] = [11.8 - 16.064 / 10.9, 10.9 - 16.064 / 11.8];
            foreach ($face->holes as $hole) {
                self::assertEqualsWithDelta([$w, $h, $w * $h / 2.0], [
                    $hole->bounds()->width(), $hole->bounds()->height(), $hole->area(),
                ], 2e-3);
            }
            // What is open at the foot lies on the side where it does not hang.
            $lowest = array_filter($face->holes, static fn (Ring $r): bool => $r->bounds()->y0 < 2.1 && $r->count() === 3);
            $byFoot = array_filter($lowest, static fn (Ring $r): bool => $r->bounds()->y1 < 2.0 + 10.0);
            $middle = array_map(static fn (Ring $r): bool => $r->bounds()->centre()->x > 8.0, array_values($byFoot));
            self::assertSame([$hinge === 'left'], array_values(array_unique($middle)));
            // 15.8 of 6 in, 2: eight planks.
            self::assertCount(7, array_filter($leaf->marks, static fn (Mark $m): bool => $m->text === 'plank'));
        }
    }

    /** Of two leaves braces rise from both jambs towards the middle. */
    public function testTwoBracedLeavesMirrorEachOther(): void
    {
        [$face] = self::parts(['kind' => 'braced', 'double' => true, 'rail' => '3in'], ['leaf-face'], ['w' => '6ft']);
        self::assertCount(8, $face->holes);
        $box = $face->outline->ring->bounds();
        $corners = static fn (Ring $r): array => array_map(static fn ($p): string => sprintf('%.3f %.3f', $p->x, $p->y), $r->points);
        $all = array_merge(...array_map($corners, $face->holes));
        $turned = array_merge(...array_map(static fn (Ring $r): array => $corners($r->mirrored($box->width() / 2.0)), $face->holes));
        sort($all);
        sort($turned);
        self::assertSame($all, $turned);
    }

    /** Half glazed from 4 ft, 16, its rail 2: panels up to 15, glass from 17 to 28 − 2.1; the leaf is open there, too. */
    public function testAHalfGlazedDoor(): void
    {
        $said = ['kind' => 'panelled', 'panels' => [2, 1], 'glazed' => '4ft', 'panes' => [2, 2], 'bar' => '3in'];
        [$face, $leaf, $glass] = self::parts($said, ['leaf-face', 'leaf', 'glazing']);
        $heights = static fn (Part $p): array => array_map(
            static fn (Ring $r): array => [round($r->bounds()->y0, 4), round($r->bounds()->y1, 4)],
            $p->holes,
        );
        $panes = [[17.0, 20.95], [17.0, 20.95], [21.95, 25.9], [21.95, 25.9]];
        self::assertSame([[2.1, 15.0], [2.1, 15.0], ...$panes], $heights($face));
        self::assertSame($panes, $heights($leaf));
        self::assertEqualsWithDelta(1.28, $face->placements[0]->origin->y - $glass->placements[0]->origin->y, 1e-6);
        // Curtains hang before the whole of it, 11.8 by 8.9, and not before each pane.
        [$curtained] = self::parts($said, ['glazing'], ['glass' => (object) ['look' => 'curtains']]);
        self::assertInstanceOf(GlassArt::class, $curtained->art);
        [[, $curtains]] = $curtained->art->shapes;
        self::assertCount(2, $curtains);
        self::assertEqualsWithDelta(0.46 * 11.8 * 8.9, $curtains[0]->area() + $curtains[1]->area(), 1e-6);
        // Planks end under the glass.
        [$planks] = self::parts(['glazed' => '4ft'], ['leaf']);
        foreach ($planks->marks as $mark) {
            self::assertEqualsWithDelta(15.0, $mark->path[1]->y, 1e-6);
        }
    }

    /** A shutter of 3 in, 1.000: 27.9 high, 28 slats, 27 lines from jamb to jamb; louvres behind a card that is open over all of them. */
    public function testSlats(): void
    {
        [$roller] = self::parts(['kind' => 'roller', 'board' => '3in'], ['leaf']);
        self::assertCount(27, $roller->marks);
        self::assertEqualsWithDelta([27.9 / 28.0, 15.8], [$roller->marks[0]->path[0]->y, $roller->marks[0]->path[1]->x], 1e-6);
        [$face, $slats] = self::parts(['kind' => 'louvred', 'board' => '6in'], ['leaf-face', 'leaf'], ['kind' => 'window', 'h' => '5ft']);
        self::assertCount(1, $face->holes);
        self::assertEqualsWithDelta([11.8, 15.8], [$face->holes[0]->bounds()->width(), $face->holes[0]->bounds()->height()], 1e-6);
        self::assertCount(9, $slats->marks);
    }

    /** A stable door is parted at 4 ft, 16; a knob is on the stile on the other side than it hangs, 40 in up, 13.333. */
    public function testWhatIsOnTheFaceOfALeaf(): void
    {
        foreach (['left' => 15.9 - 1.0, 'right' => 0.1 + 1.0] as $hinge => $x) {
            $said = ['kind' => 'plain', 'split' => '4ft', 'handle' => 'knob', 'letters' => true, 'hinge' => $hinge];
            [$leaf] = self::parts($said, ['leaf']);
            $marks = array_column(array_map(static fn (Mark $m): array => [$m->text, $m], $leaf->marks), 1, 0);
            self::assertSame(['parted', 'handle', 'letters'], array_keys($marks));
            self::assertEqualsWithDelta(16.0, $marks['parted']->path[0]->y, 1e-6);
            $middle = (new Ring($marks['handle']->path))->bounds()->centre();
            self::assertEqualsWithDelta([$x - 0.1, 40.0 * 25.4 / 76.2], [$middle->x, $middle->y], 1e-6);
        }
        // On a panelled one a plate lies on the rail next to 33 in, 11: of two rows that in the middle.
        $said = ['kind' => 'panelled', 'panels' => [2, 2], 'letters' => true];
        [$face] = self::parts($said, ['leaf-face']);
        self::assertEqualsWithDelta(14.0, ($face->marks[0]->path[0]->y + $face->marks[0]->path[2]->y) / 2.0, 1e-6);
        // 10 by 2.5 in.
        self::assertEqualsWithDelta([3.3333, 0.8333], [
            $face->marks[0]->path[1]->x - $face->marks[0]->path[0]->x, $face->marks[0]->path[2]->y - $face->marks[0]->path[1]->y,
        ], 1e-3);
    }

    /** Filled up with what the wall is of: courses are counted from the building's datum, 3 under the sill; or with anything else. */
    public function testWhatIsFilledUp(): void
    {
        $derived = Filled::of(['w' => '4ft', 'h' => '5ft', 'blind' => (object) []]);
        self::assertSame([], $derived->dryFit->findings);
        [$paper, $card] = [$derived->kit->part('main.back.blind-paper.w1')->part, $derived->kit->part('main.back.blind.w1')->part];
        self::assertInstanceOf(FaceArt::class, $paper->art);
        self::assertInstanceOf(Bricks::class, $paper->art->pattern);
        self::assertEqualsWithDelta(-3.0 - 0.1, $paper->art->datum, 1e-6);
        self::assertEqualsWithDelta([15.8, 19.8], [$card->width(), $card->height()], 1e-6);
        // Its paper lies in front: 1.5 back, or as deep as 2.76 of wall let paper and card stand.
        self::assertEqualsWithDelta(0.1, $paper->placements[0]->origin->y - $card->placements[0]->origin->y, 1e-6);
        $bare = Filled::of(['w' => '4ft', 'h' => '5ft', 'blind' => (object) ['of' => 'boards-vertical', 'colour' => '#445566']]);
        $art = $bare->kit->part('main.back.blind-paper.w1')->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        self::assertSame('#445566', $art->pattern->palette()->all()[0]);
        $wall = ['blocks.0.walls.2.finish' => 'bare'];
        $derived = Filled::of(['w' => '4ft', 'h' => '5ft', 'blind' => (object) []], $wall);
        self::assertSame([], $derived->dryFit->findings);
        self::assertArrayNotHasKey('main.back.blind-paper.w1', $derived->kit->parts);
    }

    /**
     * @param  array<string, mixed>  $style
     */
    #[DataProvider('provideFaults')]
    public function testWhatCannotBeIsAFault(array $style, string $path, string $said): void
    {
        try {
            Filled::of($style + ['w' => '4ft', 'h' => '7ft']);
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame("styles.own.$path", $e->problems[0]->path);
            self::assertStringContainsString($said, ProblemText::of($e->problems[0]));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function provideFaults(): iterable
    {
        $frame = static fn (array $said): array => ['frame' => (object) $said];
        yield 'a frame and a leaf' => [$frame([]) + ['leaf' => (object) []], 'leaf', 'has no leaf'];
        yield 'filled up, and a frame' => [$frame([]) + ['blind' => (object) []], 'frame', 'is filled up'];
        yield 'filled up, and open' => [['kind' => 'open', 'blind' => (object) []], 'blind', 'is open'];
        yield 'a sash with casements' => [$frame(['sash' => true, 'opens' => true, 'panes' => [1, 2]]), 'frame.opens', 'a sash slides'];
        yield 'a deep sash of two lights' => [
            $frame(['sash' => true, 'deep' => true, 'panes' => [1, 2], 'lights' => 2]), 'frame.deep', 'in one light',
        ];
        yield 'more mullions than it has room for' => [$frame(['lights' => 12, 'mullion' => '6in']), 'frame', 'leave no glass'];
        yield 'a transom over its head' => [$frame(['transom' => '6ft 11in']), 'frame', 'leave no glass'];
        yield 'solid to the top' => [$frame(['riser' => '6ft 11in']), 'frame', 'leave no glass'];
        yield 'no light at all' => [$frame(['lights' => 0]), 'frame.lights', 'from 1 to 12'];
        yield 'leads beside each other' => [
            ['glass' => (object) ['leading' => 'squares', 'across' => '1mm']], 'glass', '400 is the most',
        ];
        yield 'parted over its top' => [['kind' => 'door', 'leaf' => (object) ['split' => '8ft']], 'leaf.split', '7ft high'];
        yield 'glazed over its top' => [['kind' => 'door', 'leaf' => (object) ['glazed' => '7ft']], 'leaf', 'leave no glass'];
        yield 'a handle of no kind' => [['kind' => 'door', 'leaf' => (object) ['handle' => 'latch']], 'leaf.handle', 'latch'];
    }

    /** On houses of every class, all kinds by turns: what closed before closes with them, and they fill what was kept for them. */
    public function testHousesClose(): void
    {
        $made = [];
        $kinds = self::kinds();
        for ($i = 0; $i < (Sample::isDeep() ? 90 : 14); $i++) {
            // Every eleventh has openings.
            $seed = 11 * (($i + (Sample::isDeep() ? 0 : Sample::seed())) % 90);
            $document = (new HouseGenerator($seed))->document();
            try {
                $isSound = Kits::of($document)->dryFit->findings === [];
                foreach (array_values(BuildingReader::fromDocument($document)->styles) as $n => $style) {
                    $said = ['w' => $style->w->mm.'mm', 'h' => $style->h->mm.'mm'] + $kinds[(intdiv($seed, 11) + $n) % count($kinds)];
                    $said = ($said['name'] ?? '') === 'round light' ? ['h' => $said['w']] + $said : $said;
                    $document = BuildingGenerator::with($document, "styles.$style->id", (object) $said);
                }
                $derived = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            self::assertSame([], $isSound ? $derived->dryFit->findings : [], "seed $seed");
            $made += self::assertFilled($derived);
        }
        self::assertNotSame([], $made);
    }

    /** @return array<string, true> names of kinds whose sheets are as thick together as the wall has kept room for */
    private static function assertFilled(Derivation $derived): array
    {
        $made = [];
        foreach ($derived->building->blocks as $block) {
            foreach ($block->walls as $wall) {
                foreach ($wall->openings as $opening) {
                    $deep = 0.0;
                    foreach ($derived->kit->parts as $part) {
                        $of = $part->part->of;
                        $isIn = [$of->block, $of->edge, $of->opening] === [$block->id, $wall->name, $opening->id];
                        $deep += $isIn && in_array($of->layer, self::LAYERS, true) ? $part->part->thickness : 0.0;
                    }
                    $takes = $deep === 0.0 ? 0.0 : OpeningCut::takes($derived->building, $opening);
                    self::assertEqualsWithDelta($takes, $deep, 1e-9, "$block->id.$wall->name.$opening->id");
                    $made[$opening->style->name] = true;
                }
            }
        }

        return $made;
    }

    private const LAYERS = ['frame', 'frame-back', 'casements', 'tracery', 'glazing', 'leaf', 'leaf-face', 'blind', 'blind-paper'];

    /** @return list<array<string, mixed>> */
    private static function kinds(): array
    {
        $window = static fn (string $name, array $frame): array => ['name' => $name, 'kind' => 'window', 'frame' => (object) $frame];
        $door = static fn (string $name, array $leaf): array => ['name' => $name, 'kind' => 'door', 'leaf' => (object) $leaf];

        return [
            $window('lights', ['lights' => 2, 'stile' => '35mm', 'mullion' => '45mm', 'panes' => [1, 2], 'bar' => '25mm']),
            $window('casements', ['opens' => true, 'stile' => '30mm', 'panes' => [1, 2], 'bars' => 'widened']),
            $window('ajar', [
                'opens' => true, 'lights' => 2, 'stile' => '30mm', 'mullion' => '45mm', 'transom' => '290mm',
                'ajar' => 25, 'ajar_light' => 2,
            ]),
            $window('printed', ['stile' => '40mm', 'panes' => [3, 3], 'bars' => 'printed']),
            $window('tracery', [
                'lights' => 2, 'stile' => '30mm', 'mullion' => '35mm', 'tracery' => (object) ['bar' => '25mm', 'foils' => 3],
            ]),
            $window('transom', ['stile' => '35mm', 'mullion' => '45mm', 'transom' => '310mm', 'riser' => '115mm']),
            ['name' => 'round light', 'kind' => 'window', 'head' => (object) ['shape' => 'circle']],
            ['name' => 'leaded', 'kind' => 'window', 'glass' => (object) ['leading' => 'lozenges', 'look' => 'frosted']],
            ['name' => 'bricked up', 'kind' => 'window', 'blind' => (object) ['of' => 'brick-header']],
            ['name' => 'louvres', 'kind' => 'window', 'leaf' => (object) ['kind' => 'louvred', 'rail' => '55mm', 'board' => '85mm']],
            $door('braced', ['kind' => 'braced', 'rail' => '65mm', 'handle' => 'ring']),
            $door('two braced', ['kind' => 'braced', 'rail' => '55mm', 'double' => true]),
            $door('half glazed', ['kind' => 'planks', 'glazed' => '315mm', 'rail' => '55mm', 'bar' => '35mm', 'panes' => [1, 2]]),
            $door('shutter', ['kind' => 'roller', 'board' => '95mm']),
        ];
    }

    /**
     * @param  array<string, mixed>  $leaf
     * @param  list<string>  $layers
     * @param  array<string, mixed>  $style
     * @return list<Part>
     */
    private static function parts(array $leaf, array $layers, array $style = []): array
    {
        $derived = Filled::of($style + ['kind' => 'door', 'w' => '4ft', 'h' => '7ft', 'leaf' => (object) ($leaf + self::LEAF)]);
        self::assertSame([], $derived->dryFit->findings);

        return array_map(static fn (string $layer): Part => $derived->kit->part("main.back.$layer.w1")->part, $layers);
    }
}
