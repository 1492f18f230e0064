<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Building\Edit\Cure;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** A cast window of 11.6 by 19.3, 0.9 deep, in the office's back, a wall of 0.64 on 2.12. docs/formulas.md#bought */
final class BoughtTest extends TestCase
{
    private const FITTING = ['w' => '11.6mm', 'h' => '19.3mm', 'depth' => '0.9mm', 'price' => '0.45', 'source' => 'Marrowmere Castings'];

    /** A tenth to spare all round: an opening of 11.8 by 19.5; in a rebate of 1 the layers behind are 11.8, and its face 9.8 by 17.5. */
    #[TestWith([null, '11.8mm model', '19.5mm model'])]
    #[TestWith(['1mm model', '9.8mm model', '17.5mm model'])]
    public function testItIsABoxInAnOpeningThatFollowsFromIt(?string $rebate, string $w, string $h): void
    {
        $derived = Filled::of(['w' => $w, 'h' => $h, 'rebate' => $rebate, 'bought' => (object) self::FITTING]);
        self::assertSame([], $derived->dryFit->findings);
        $part = $derived->kit->part('main.back.bought.w1')->part;
        self::assertEqualsWithDelta([11.6, 19.3, 0.9], [$part->width(), $part->height(), $part->thickness], 1e-6);
        self::assertArrayNotHasKey('main.back.frame.w1', $derived->kit->parts);
        // Nobody cuts it: it lies on no page, and stands among what is bought.
        $placed = array_merge(...array_map(static fn (Sheet $s): array => array_map(
            static fn (PlacedPart $p): string => $p->part->part->id,
            $s->parts,
        ), $derived->printed->plan->sheets));
        self::assertNotContains('main.back.bought.w1', $placed);
        self::assertContains('1 × own, 11.6 × 19.3 × 0.9 mm, from Marrowmere Castings, at 0.45: 0.45', self::words($derived));
    }

    /** Another opening is a fault that says which one it has to be, and a press makes it so: of either kind, on the ground or over it. */
    #[TestWith(['window', '9in', '19.50'])]
    #[TestWith(['window', '0ft', '19.40'])]
    #[TestWith(['door', '1ft 1.75in', '19.50'])]
    #[TestWith(['door', '0ft', '19.40'])]
    public function testAnotherOpeningIsCured(string $kind, string $sill, string $high): void
    {
        $document = self::document(['kind' => $kind, 'w' => '3ft', 'h' => '5ft', 'bought' => (object) self::FITTING], $sill);
        try {
            Kits::of($document);
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame('styles.own.bought', $e->problems[0]->path);
            self::assertStringContainsString("11.80 mm by $high mm", ProblemText::of($e->problems[0]));
            $cure = Cure::of($document, $e->problems[0]);
            self::assertNotNull($cure);
            self::assertSame('Make its opening fit', $cure->words);
            $cured = Edits::apply($document, [$cure->edit])->document;
            self::assertSame([], Kits::of($cured)->dryFit->findings);
            // A second press changes nothing.
            self::assertEquals($cured, Edits::apply($cured, [$cure->edit])->document);
        }
    }

    /** Where nothing is bought yet there is something that fits in place of what stood there, of a door down to the ground. */
    #[TestWith(['window', '11.8mm', '19.8mm'])]
    #[TestWith(['door', '11.8mm', '19.9mm'])]
    public function testSomethingThatFitsToBeginWith(string $kind, string $w, string $h): void
    {
        [$what, $sill] = $kind === 'door' ? ['leaf', '0ft'] : ['frame', '9in'];
        $document = self::document(['kind' => $kind, 'w' => '3ft', 'h' => '5ft', $what => (object) []], $sill);
        $document = Edits::apply($document, [(object) ['op' => 'fill-kind', 'style' => 'own', 'with' => 'bought']])->document;
        $style = $document->styles->own ?? null; // @phpstan-ignore property.nonObject
        self::assertEquals((object) ['w' => $w, 'h' => $h, 'depth' => '1.2mm'], $style->bought); // @phpstan-ignore property.nonObject
        self::assertSame([], Kits::of($document)->dryFit->findings);
    }

    /**
     * One thing at a time stands in an opening, each can be made as it is begun, and what is there already stays as it is.
     *
     * @param  list<string>  $then
     */
    #[TestWith(['window', 'frame', ['leaf', 'blind', 'bought', 'frame']])]
    #[TestWith(['door', 'leaf', ['bought', 'frame', 'blind', 'leaf']])]
    public function testAnythingElseCanStandInIt(string $kind, string $first, array $then): void
    {
        $begun = (object) ($first === 'frame' ? ['panes' => [3, 1], 'stile' => '4in', 'bar' => '3in'] : ['board' => '7in']);
        $document = self::document(['kind' => $kind, 'w' => '3ft', 'h' => '5ft', $first => $begun], $kind === 'door' ? '0ft' : '9in');
        $filled = static fn (stdClass $document, string $with): stdClass => Edits::apply(
            $document, [(object) ['op' => 'fill-kind', 'style' => 'own', 'with' => $with]],
        )->document;
        self::assertEquals($document, $filled($document, $first));
        foreach ($then as $with) {
            $document = $filled($document, $with);
            $said = array_keys((array) $document->styles->own); // @phpstan-ignore property.nonObject
            self::assertSame([$with], array_values(array_intersect(['frame', 'leaf', 'blind', 'bought'], $said)));
            self::assertSame([], Kits::of($document)->dryFit->findings, $with);
        }
        $this->expectException(InvalidInput::class);
        $filled($document, 'curtain');
    }

    /** @param  array<string, mixed>  $bought */
    #[TestWith([['depth' => '0mm'], 'styles.own.bought.depth'])]
    #[TestWith([['w' => '3ft'], 'styles.own.bought'])]
    #[TestWith([['price' => 'dear'], 'styles.own.bought.price'])]
    public function testWhatCannotBeIsAFault(array $bought, string $path): void
    {
        try {
            Kits::of(self::document(['w' => '11.8mm model', 'h' => '19.5mm model', 'bought' => (object) ($bought + self::FITTING)]));
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame($path, $e->problems[0]->path);
        }
    }

    /** @return list<string> of the pages before the sheets */
    private static function words(Derivation $derived): array
    {
        $texts = array_merge(...array_map(static fn ($d): array => $d->texts(), $derived->printed->before('')));

        return array_map(static fn (Text $t): string => $t->text, $texts);
    }

    /** @param  array<string, mixed>  $style */
    private static function document(array $style, string $sill = '9in'): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $opening = (object) ['id' => 'w1', 'style' => 'own', 'from' => '5ft 7in', 'sill' => $sill];
        $document = BuildingGenerator::with($document, 'methods.wall.1.stock', 'greyboard-2');
        $document = BuildingGenerator::with($document, 'blocks.0.walls.0.openings', []);
        $document = BuildingGenerator::with($document, 'styles.own', (object) ($style + ['kind' => 'window']));

        return BuildingGenerator::with($document, 'blocks.0.walls.2.openings', [$opening]);
    }
}
