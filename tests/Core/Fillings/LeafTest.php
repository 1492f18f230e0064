<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Mark;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** Leaves of the weigh office's door, 13 by 28 at 1:76.2, in a wall of 0.64 on 1.17. docs/formulas.md#frame */
final class LeafTest extends TestCase
{
    /** Two by three between stiles and rails of 4 in, 1.333: (13 − 2 · 1.433 − 1.333)/2 wide, (28 − 2 · 1.433 − 2 · 1.333)/3 high. */
    public function testPanelsAreOpeningsOfACardOnTheLeaf(): void
    {
        $derived = self::derived(['kind' => 'panelled']);
        self::assertSame([], $derived->dryFit->findings);
        [$leaf, $face] = [$derived->kit->part('main.front.leaf.d1')->part, $derived->kit->part('main.front.leaf-face.d1')->part];
        self::assertCount(0, $leaf->holes);
        self::assertCount(6, $face->holes);
        foreach ($face->holes as $hole) {
            self::assertEqualsWithDelta([4.4, 7.48889], [$hole->bounds()->width(), $hole->bounds()->height()], 1e-4);
        }
        // Both are 0.64; they fill the wall from its back.
        self::assertEqualsWithDelta([0.53, 1.17], [$face->placements[0]->origin->y, $leaf->placements[0]->origin->y], 1e-6);
        self::assertEqualsWithDelta([$leaf->width(), $leaf->height()], [$face->width(), $face->height()], 1e-6);
    }

    /** Two leaves have twice as many across, and a line where they meet; planks are as near to their width as equal ones come. */
    public function testTwoLeavesAndPlanks(): void
    {
        $face = self::derived(['kind' => 'panelled', 'double' => true, 'panels' => [1, 2]])->kit->part('main.front.leaf-face.d1')->part;
        self::assertCount(4, $face->holes);
        self::assertEqualsWithDelta([6.5], array_map(static fn (Mark $m): float => $m->path[0]->x + 0.1, $face->marks), 0.11);
        // 12.8 of 9 in, 3: four, 3.2 each, and the joint of the leaves.
        $planks = self::derived(['board' => '9in', 'double' => true])->kit->part('main.front.leaf.d1')->part;
        self::assertCount(4, $planks->marks);
        self::assertSame([], self::derived(['kind' => 'plain'])->kit->part('main.front.leaf.d1')->part->marks);
        // As it was where nothing is said: planks of 6 in.
        self::assertCount(5, self::derived(null)->kit->part('main.front.leaf.d1')->part->marks);
    }

    /** What leans against a rebate is the card in front. */
    public function testInARebateItsFaceLeans(): void
    {
        $thick = ['methods.wall.1.stock' => 'greyboard-2', 'blocks.0.walls.0.openings.1.from' => '13ft'];
        $derived = self::derived(['kind' => 'panelled'], ['styles.door.rebate' => '3/4in'] + $thick);
        self::assertSame([], $derived->dryFit->findings);
        $leaning = array_values(array_filter($derived->kit->joints, static fn (Joint $j): bool => $j->why === 'leans against its rebate'));
        $parts = array_map(static fn (Joint $j): string => $j->b->part, $leaning);
        self::assertSame(['main.front.leaf-face.d1'], array_values(array_unique($parts)));
    }

    /** @param  array<string, mixed>  $leaf */
    #[TestWith(['styles.sash', ['kind' => 'plain'], 'styles.sash.leaf', 'window'])]
    #[TestWith(['styles.door', ['kind' => 'panelled', 'rail' => '2ft'], 'styles.door.leaf', 'stiles of 8'])]
    public function testWhatCannotBeIsAFault(string $style, array $leaf, string $path, string $said): void
    {
        try {
            Kits::of(BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), "$style.leaf", (object) $leaf));
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame($path, $e->problems[0]->path);
            self::assertStringContainsString($said, ProblemText::of($e->problems[0]));
        }
    }

    /** Doors of every class of house, panelled: what closes with planks does with panels. */
    public function testHousesClose(): void
    {
        $made = 0;
        for ($i = 0; $i < (Sample::isDeep() ? 90 : 10); $i++) {
            // Every eleventh has openings.
            $seed = 11 * (($i + (Sample::isDeep() ? 0 : Sample::seed())) % 90);
            $document = (new HouseGenerator($seed))->document();
            try {
                foreach (BuildingReader::fromDocument($document)->styles as $id => $style) {
                    $size = ['kind' => 'door', 'w' => $style->w->mm.'mm', 'h' => $style->h->mm.'mm'];
                    $document = BuildingGenerator::with($document, "styles.$id", (object) $size);
                }
                $isSound = Kits::of($document)->dryFit->findings === [];
                $leaf = ['kind' => 'panelled', 'panels' => [1 + $seed % 2, 2], 'rail' => '45mm', 'double' => $seed % 3 === 0];
                foreach (array_keys(BuildingReader::fromDocument($document)->styles) as $id) {
                    $document = BuildingGenerator::with($document, "styles.$id.leaf", (object) $leaf);
                }
                $derived = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            self::assertSame([], $isSound ? $derived->dryFit->findings : [], "seed $seed");
            $made += count(array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => $p->part->of->layer === 'leaf-face'));
        }
        self::assertGreaterThan(0, $made);
    }

    /**
     * @param  ?array<string, mixed>  $leaf
     * @param  array<string, mixed>  $more
     */
    private static function derived(?array $leaf, array $more = []): Derivation
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $all = ($leaf === null ? [] : ['styles.door.leaf' => (object) $leaf]) + $more;
        foreach ($all as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Kits::of($document);
    }
}
