<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Guide\Axonometry;
use Chartula\Core\Drawing\Guide\GuidePages;
use Chartula\Core\Drawing\Guide\Leaf;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Labelling\LabelledPart;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class GuideTest extends TestCase
{
    /** Somebody who looks for a part finds it in a picture of where things go, on the page, in type that can be read. */
    #[DataProvider('provideExamples')]
    #[Group('property')]
    public function testEveryPartIsNamedWhereItGoes(string $name): void
    {
        $derived = $name === 'with chimneys' ? self::withChimneys() : Kits::example($name);
        $pages = GuidePages::of($derived->building, $derived->kit, '');
        $labels = array_column($derived->kit->parts, 'label');
        $found = [];
        foreach (array_slice($pages, 1) as $page) {
            foreach ($page->texts() as $text) {
                $found += array_fill_keys((array) preg_split('/[ :,;]+/', $text->text), true);
                self::assertGreaterThanOrEqual(2.0, $text->size);
                self::assertTrue($text->at->x > 0.0 && $text->at->x < $page->width && $text->at->y > 0.0 && $text->at->y < $page->height);
            }
        }
        self::assertSame([], array_values(array_filter($labels, static fn (string $label): bool => ! isset($found[$label]))));
    }

    /** @return iterable<string, array{string}> */
    public static function provideExamples(): iterable
    {
        foreach (['weigh-office', 'creamery', 'halt', 'ropewalk-row', 'with chimneys'] as $name) {
            yield $name => [$name];
        }
    }

    /** The weigh office with one outside its gable and one on its ridge. */
    private static function withChimneys(): Derivation
    {
        $things = json_decode((string) json_encode([
            [
                'kind' => 'wall-chimney', 'id' => 'a', 'on' => ['edge' => 'left', 'over' => 'middle'],
                'breast_w' => '5ft', 'shoulder' => '6ft', 'set_offs' => 1,
            ],
            ['kind' => 'chimney', 'id' => 'b', 'on' => ['anchor' => 'roof-line', 'edge' => 'front', 'line' => 'ridge', 'from' => '14ft']],
        ]));

        return Kits::of(BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.features', $things));
    }

    /** From its front an outside chimney shows its front, its set-off and its cap; from its right a shoulder, too. */
    public function testWhatStandsByItselfIsShownFromItsFrontAndItsRight(): void
    {
        $derived = self::withChimneys();
        $said = self::texts(...array_slice(GuidePages::of($derived->building, $derived->kit, ''), 1));
        foreach (['Outside chimney, from its front', 'Outside chimney, from its right', 'Chimney, from its front'] as $title) {
            self::assertContains($title, $said);
        }
        $shoulder = $derived->kit->part('main.stack-shoulder-right.a')->label;
        self::assertContains($shoulder, $said, 'beside the picture from the right');
        $cards = array_filter(
            $derived->kit->parts,
            static fn (LabelledPart $p): bool => str_ends_with($p->part->id, '.a') && $p->label[0] === 'T',
        );
        $labels = array_column($cards, 'label');
        self::assertContains($labels[0].' to '.$labels[count($labels) - 1], $said, 'on its wall');
    }

    /**
     * By hand from the document at 1:76.2: the front is 18 ft = 72 long and 38 high; its door begins 14 ft = 56 along, less what the paper
     * turns in, and is 28 high; the two windows stand 10 and 34 along, 12 wide, 11 up, their heads rise from 29.5 to 31.
     */
    public function testPartsAreMarkedOutFromOneEndAndTheFoot(): void
    {
        $derived = Kits::example('weigh-office');
        $pages = GuidePages::markingOut($derived->building, $derived->kit, '');
        $said = self::texts(...$pages);
        foreach ($derived->kit->parts as $part) {
            $title = "$part->label  {$part->part->name}";
            self::assertSame($part->part->stock->takesTemplate(), in_array($title, $said, true), $title);
        }
        $first = array_slice($said, (int) array_search('W1  Front wall, face', $said, true), 17);
        foreach (['0', '10', '16', '22', '34', '40', '46', '56', '69', '72', '11', '28', '29.5', '31', '38'] as $figure) {
            self::assertContains($figure, $first, "$figure of the front wall");
        }
    }

    /**
     * The office's window is 12 by 20 finished, its door 13 by 28 on the ground; paper of 0.1 turns in, and a quarter goes for the pencil:
     * 11.7 by 19.7 and 12.7 by 27.85. Drawn by as much as the printer is out.
     */
    public function testTemplatesAreTrueToSize(): void
    {
        $derived = Kits::of(BuildingGenerator::with(
            JsonText::decode(Kits::exampleText('weigh-office')), 'sheets', (object) ['proof' => (object) ['x' => '99mm', 'y' => '100mm']],
        ));
        $pages = GuidePages::templates($derived->building, $derived->kit, '');
        $sizes = [];
        foreach ($pages as $page) {
            foreach ($page->paths(Layer::Text) as $path) {
                $box = Box2::around($path->lines[0]);
                $isTemplate = $path->closed && ($path->stroke->dash ?? []) === [];
                $sizes += $isTemplate ? [sprintf('%.2f × %.2f', $box->width() * 0.99, $box->height()) => true] : [];
            }
        }
        self::assertArrayHasKey('11.70 × 19.70', $sizes);
        self::assertArrayHasKey('12.70 × 27.85', $sizes);
        self::assertContains('In all layers of its wall, 12.2 × 20.2 mm: dotted, what is traced.', self::texts(...$pages));
    }

    /** From each side the walls and the slope that are seen from there, and no others; taken apart, every card once. */
    public function testTheBuildingIsShownFromTwoSides(): void
    {
        $derived = Kits::example('weigh-office');
        $said = self::texts(GuidePages::of($derived->building, $derived->kit, '')[0]);
        $front = array_slice($said, 0, (int) array_search('From the back and the left', $said, true));
        $back = array_slice($said, count($front), (int) array_search('Taken apart', $said, true) - count($front));
        $apart = array_slice($said, count($front) + count($back));
        self::assertSame(['P1 W1 W2', 'P2 W3 W4', 'R1'], self::labels($front));
        self::assertSame(['P3 W5 W6', 'P4 W7 W8', 'R2'], self::labels($back));
        $cards = ['B1', 'B2', 'B2', 'B2', 'B2', 'R1', 'R2', 'W1', 'W2', 'W3', 'W4', 'W5', 'W6', 'W7', 'W8'];
        self::assertSame($cards, self::labels($apart));
    }

    /**
     * Front and back run through and the gables stop against their cores. A frame stands 0.97 behind the outside, glass behind it at
     * 1.81 − 0.2 = 1.61, the leaf of the door before the inner face: 0.64 + 1.17 − 0.64 = 1.17.
     */
    public function testItSaysWhichEndRunsThroughAndHowDeepThingsSit(): void
    {
        $derived = Kits::example('weigh-office');
        $said = self::texts(...GuidePages::of($derived->building, $derived->kit, ''));
        foreach ([
            'Front wall: P1 W1 W2', 'Left end: runs through past W7 W8', 'Right end: runs through past W3 W4',
            'Behind the outside: F1 0.97 mm, G1 1.61 mm, D1 1.17 mm', 'Left end: stops against W2', 'B2: upper side 36.00 mm up',
        ] as $words) {
            self::assertContains($words, $said);
        }
        $mitred = Kits::of(BuildingGenerator::with(Kits::box('100mm', '60mm', '40mm', 40.0), 'methods.corner', 'mitre'));
        $said = self::texts(...GuidePages::of($mitred->building, $mitred->kit, ''));
        self::assertNotSame([], array_filter($said, static fn (string $words): bool => str_starts_with($words, 'Left end: mitred with W')));
    }

    /** Of two leaves one before the other the far one is drawn first, from whichever side, and is not named where it is covered. */
    public function testWhatIsNearerCoversWhatIsFarther(): void
    {
        $square = static fn (float $y, string $label): Leaf => new Leaf(
            [new Vec3(0.0, $y, 0.0), new Vec3(50.0, $y, 0.0), new Vec3(50.0, $y, 50.0), new Vec3(0.0, $y, 50.0)],
            [],
            new Vec3(0.0, -1.0, 0.0),
            $label,
        );
        foreach ([-90 => 'near', 90 => 'far'] as $azimuth => $seen) {
            $drawing = new Drawing(200.0, 100.0, '');
            Axonometry::of([$square(0.0, 'near'), $square(1.0, 'far')], (float) $azimuth)->draw($drawing, new Box2(0.0, 0.0, 200.0, 100.0));
            $labels = self::texts($drawing);
            self::assertSame($seen, $labels[count($labels) - 1], "from $azimuth");
        }
    }

    /** @return list<string> */
    private static function texts(Drawing ...$pages): array
    {
        return array_merge(...array_map(
            static fn (Drawing $d): array => array_map(static fn (Text $t): string => $t->text, $d->texts()),
            array_values($pages),
        ));
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function labels(array $words): array
    {
        $labels = array_values(array_filter($words, static fn (string $w): bool => preg_match('/^[A-Z]\d+( [A-Z]\d+)*$/D', $w) === 1));
        sort($labels);

        return $labels;
    }
}
