<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** The dry fit asks no claim: whatever is raised or printed a millimetre larger, smaller or elsewhere than the document says is found. */
final class DressCheckTest extends TestCase
{
    /**
     * @param  string  $on  `sash`, which has a segmental head, or `door`, which has a flat one
     * @param  array<string, mixed>  $made  of which the kit is made
     * @param  array<string, mixed>  $said  what the document then says instead
     */
    #[DataProvider('provideMutants')]
    public function testWhatIsRaisedOtherwiseThanItIsSaidIsFound(string $on, array $made, array $said): void
    {
        $document = self::dressed($on, $made);
        $derived = Kits::of($document);
        self::assertSame([], $derived->dryFit->findings);
        $pieces = array_filter($derived->kit->parts, static fn ($p): bool => $p->part->letter === 'T');
        self::assertSame(($made['as'] ?? 'raised') === 'raised', $pieces !== []);
        self::assertNotSame([], self::found($derived, self::dressed($on, [...$made, ...$said])));
    }

    /** @return iterable<string, array{string, array<string, mixed>, array<string, mixed>}> a millimetre is 3 in */
    public static function provideMutants(): iterable
    {
        $figures = [
            ['sash', ['kind' => 'sill', 'h' => '4in', 'beyond' => '4in'], ['h', 'beyond']],
            ['door', ['kind' => 'lintel', 'h' => '9in', 'bearing' => '4in'], ['h', 'bearing']],
            ['door', ['kind' => 'arch', 'of' => 'soldier', 'depth' => '9in', 'bearing' => '4in'], ['depth', 'bearing']],
            ['sash', ['kind' => 'arch', 'of' => 'gauged', 'depth' => '9in'], ['depth']],
            ['door', ['kind' => 'keystone', 'w' => '6in', 'depth' => '9in'], ['w', 'depth']],
            ['sash', ['kind' => 'keystone', 'w' => '6in', 'depth' => '9in'], ['w', 'depth']],
            ['door', ['kind' => 'hood-mould', 'h' => '4in', 'beyond' => '4in'], ['h', 'beyond']],
            ['sash', ['kind' => 'hood-mould', 'h' => '4in'], ['h']],
            ['sash', ['kind' => 'quoins', 'long' => '12in', 'short' => '6in'], ['long']],
            ['door', ['kind' => 'surround', 'w' => '6in'], ['w']],
            ['sash', ['kind' => 'surround', 'w' => '6in'], ['w']],
        ];
        foreach ($figures as [$on, $made, $keys]) {
            foreach ($keys as $key) {
                $inches = (int) ($made[$key] ?? '');
                foreach (['larger' => $inches + 3, 'smaller' => $inches - 3] as $how => $other) {
                    yield "$made[kind] round the $on, $key $how" => [$on, $made, [$key => "{$other}in"]];
                    yield "$made[kind] printed round the $on, $key $how" => [$on, ['as' => 'printed'] + $made, [$key => "{$other}in"]];
                }
            }
        }
        yield 'two rings for one' => ['sash', ['kind' => 'arch', 'rings' => 2], ['rings' => 1]];
        yield 'another skew' => ['door', ['kind' => 'arch', 'of' => 'gauged', 'skew' => 60], ['skew' => 75]];
    }

    public function testWhatIsRaisedElsewhereIsFound(): void
    {
        foreach (['raised', 'printed'] as $as) {
            self::assertMovesAreFound(self::dressed('sash', ['kind' => 'sill', 'as' => $as]));
        }
    }

    private static function assertMovesAreFound(stdClass $document): void
    {
        foreach (['from' => '2ft 9in', 'sill' => '3ft'] as $key => $other) {
            $moved = BuildingGenerator::with($document, "blocks.0.walls.0.openings.0.$key", $other);
            self::assertNotSame([], self::found(Kits::of($document), $moved), $key);
        }
    }

    /** @return list<Finding> */
    private static function found(Derivation $derived, stdClass $document): array
    {
        $findings = DryFit::check(Kits::serialised($derived), BuildingReader::fromDocument($document))->findings;

        return array_values(array_filter($findings, static fn (Finding $f): bool => $f->code === 'dress.place'));
    }

    /** @param  array<string, mixed>  $thing */
    private static function dressed(string $on, array $thing): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach (['sash', 'door'] as $style) {
            $dress = $style === $on ? [(object) ($thing + ['as' => 'raised'])] : [];
            $document = BuildingGenerator::with($document, "styles.$style.dress", $dress);
        }

        return $document;
    }
}
