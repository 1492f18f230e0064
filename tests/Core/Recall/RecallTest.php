<?php

declare(strict_types=1);

namespace Tests\Core\Recall;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\EditChain;
use Tests\Support\FormGenerator;
use Tests\Support\KitMutants;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** What is recalled comes sooner and is never different. */
final class RecallTest extends TestCase
{
    public function testAQuestionIsWorkedOnceAndForgottenWhereARunDoesNotAskIt(): void
    {
        $asked = 0;
        $work = static function () use (&$asked): string {
            return 'answer '.++$asked;
        };
        $first = new Recall;
        self::assertSame(['answer 1', 'answer 1', 'answer 2'], [$first->of('a', $work), $first->of('a', $work), $first->of('b', $work)]);
        self::assertSame(2, $first->worked());

        $second = new Recall($first->answers());
        self::assertSame('answer 2', $second->of('b', $work));
        self::assertSame([0, ['b']], [$second->worked(), array_keys($second->answers())]);

        $third = new Recall($second->answers());
        self::assertSame('answer 3', $third->of('a', $work));
    }

    public function testQuestionsDifferWithAnythingTheyAreMadeOf(): void
    {
        $questions = [
            Recall::question('a', 1, 2.0),
            Recall::question('b', 1, 2.0),
            Recall::question('a', 1, 2),
            Recall::question('a', 1, 2.0 + 1e-15),
            Recall::question('a', [1, 2.0]),
        ];
        self::assertCount(5, array_unique($questions));
        self::assertSame(Recall::question('a', 1, 2.0), Recall::question('a', 1, 2.0));
    }

    /** @param  list<array<string, mixed>>  $edits */
    #[DataProvider('provideChains')]
    #[Group('property')]
    public function testAChainOfEditsGivesWhatEachGivesAlone(stdClass $document, array $edits): void
    {
        $recall = new Recall;
        $fresh = $made = [];
        foreach ([[], ...$edits, []] as $edit) {
            $document = $edit === [] ? $document : Edits::apply($document, [(object) $edit])->document;
            $text = JsonText::encode($document);
            $building = BuildingReader::fromText($text);
            // As it is kept between two edits.
            /** @var array<string, mixed> $before */
            $before = unserialize(serialize($recall->answers()));
            $recall = new Recall($before);
            // Compared as text: the same, and far sooner than object by object.
            $once = self::derived($building, $text, new Recall);
            self::assertTrue($once === self::derived($building, $text, $recall), 'after '.json_encode($edit));
            $fresh[] = $recall->worked();
            $made[] = str_starts_with($once, '{');
        }
        self::assertTrue(! $made[0] || $fresh[0] > 0, 'what is refused may be so before anything is asked');
        self::assertSame(0, end($fresh), 'the same again is nothing new');
    }

    /** However long somebody goes on, also over faults and back, what comes out is what would come out at once: the same bytes. */
    #[Group('property')]
    public function testChainsOfAnyEditsGiveTheSameBytes(): void
    {
        $differ = [];
        $sound = 0;
        foreach (Sample::oneIn(Sample::isDeep() ? 1 : 125, self::chains()) as $seed => $chain) {
            $recall = new Recall;
            foreach ($chain->documents(5) as $n => $document) {
                $reading = BuildingReader::reading($document);
                if ($reading->building === null || $reading->faults !== []) {
                    continue;
                }
                $text = JsonText::encode($document);
                $recall = new Recall($recall->answers());
                $sound++;
                if (self::derived($reading->building, $text, new Recall) !== self::derived($reading->building, $text, $recall)) {
                    $differ[] = "$seed after $n";
                }
            }
        }
        self::assertSame([], $differ);
        self::assertGreaterThan(5, $sound);
    }

    /** @return iterable<int, EditChain> */
    private static function chains(): iterable
    {
        foreach (range(1, 500) as $seed) {
            yield $seed => new EditChain($seed);
        }
    }

    /** @return string all that a derivation gives */
    private static function derived(Building $building, string $text, Recall $recall): string
    {
        try {
            $derived = Derivation::of($building, $text, $recall);

            return $derived->json.var_export([$derived->dryFit, $derived->printed->plan], true);
        } catch (InvalidInput $faults) {
            return var_export($faults->problems, true);
        }
    }

    /** @return iterable<string, array{stdClass, list<array<string, mixed>>}> */
    public static function provideChains(): iterable
    {
        $edits = [
            ['op' => 'move-opening', 'wall' => 'hall.front', 'id' => 'w1', 'bricks' => 1],
            // The dispatch's roof ends at the wall that this one is in.
            ['op' => 'set', 'path' => 'blocks.1.walls.1.openings.0.from', 'value' => '7ft'],
            ['op' => 'set', 'path' => 'name', 'value' => 'Another'],
            ['op' => 'set', 'path' => 'methods.template.stays', 'value' => true],
            ['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '13ft 1in'],
            ['op' => 'set', 'path' => 'methods.corner', 'value' => 'mitre'],
            ['op' => 'set', 'path' => 'methods.panels', 'value' => 'bevelled'],
            ['op' => 'set', 'path' => 'scale', 'value' => '1:87'],
        ];
        yield 'the creamery' => [JsonText::decode(Kits::exampleText('creamery')), $edits];
        foreach (range(0, Sample::isDeep() ? 139 : 1) as $seed) {
            yield "form $seed" => [(new FormGenerator($seed))->document(), [
                ['op' => 'set', 'path' => 'name', 'value' => 'Another'],
                ['op' => 'set', 'path' => 'scale', 'value' => '1:76'],
                ['op' => 'set', 'path' => 'methods.supports', 'value' => 'none'],
            ]];
        }
    }

    #[DataProvider('provideKits')]
    #[Group('property')]
    public function testAWrongKitIsFoundByOneWhoRemembersTheSoundOne(string $name, int $each): void
    {
        $derived = Kits::example($name);
        [$kit, $building] = [Kits::serialised($derived), $derived->described];
        $recall = new Recall;
        self::assertTrue(DryFit::check($kit, $building, $recall)->goesTogether());
        $differ = [];
        $made = 0;
        foreach (KitMutants::of($kit, 5) as $what => $mutant) {
            if (
                $made++ % $each === 0
                && DryFit::check($mutant, $building, new Recall($recall->answers()))->toArray()
                    !== DryFit::check($mutant, $building)->toArray()
            ) {
                $differ[] = $what;
            }
        }
        self::assertSame([], $differ);
        self::assertGreaterThan(50, $made);
    }

    /** @return iterable<string, array{string, int}> an example, and how many of its mutants to pass over */
    public static function provideKits(): iterable
    {
        yield 'the weigh office' => ['weigh-office', 1];
        yield 'the creamery' => ['creamery', Sample::isDeep() ? 17 : 101];
    }

    /** Whatever is said of a block but of its walls is part of what the roofs are asked with. */
    #[TestWith(['eaves', '10ft'])]
    #[TestWith(['roof.pitch', 41])]
    #[TestWith(['roof.overhang', ['eaves' => '1ft', 'verge' => '6in']])]
    #[TestWith(['footprint.rect', ['18ft', '13ft']])]
    #[TestWith(['at', ['1ft', '0ft']])]
    #[TestWith(['turn', 10])]
    #[TestWith(['name', 'Annexe'])]
    #[TestWith(['storeys', [['id' => 'loft', 'name' => 'Loft', 'floor' => '7ft', 'height' => '2ft']]])]
    public function testTheRoofsAreAskedAnewWithEveryFieldOfABlock(string $field, mixed $value): void
    {
        $office = JsonText::decode(Kits::exampleText('weigh-office'));
        $recall = new Recall;
        Kit::derive(BuildingReader::fromDocument($office), $recall);
        $changed = BuildingGenerator::with($office, "blocks.0.$field", json_decode((string) json_encode($value)));
        $again = new Recall($recall->answers());
        Kit::derive(BuildingReader::fromDocument($changed), $again);
        $roofs = static fn (Recall $r): array =>
            array_filter(array_keys($r->answers()), static fn (string $q): bool => str_starts_with($q, 'made roofs'));
        self::assertCount(1, $roofs($again));
        self::assertNotEquals($roofs($recall), $roofs($again));
    }

    public function testAFaultIsFoundAgainByOneWhoRemembersIt(): void
    {
        $document = JsonText::decode(Kits::exampleText('creamery'));
        $document = Edits::apply($document, [(object) ['op' => 'set', 'path' => 'blocks.1.eaves', 'value' => '13ft']])->document;
        $building = BuildingReader::fromDocument($document);
        $recall = new Recall;
        $found = [];
        foreach ([1, 2] as $time) {
            $problems = new Problems;
            Surfaces::of($building, $problems, $recall);
            try {
                $problems->throwIfAny();
                self::fail("Nothing found the $time. time");
            } catch (InvalidInput $faults) {
                $found[] = array_map(static fn ($fault): array => $fault->toArray(), $faults->problems);
            }
        }
        self::assertSame($found[0], $found[1]);
    }
}
