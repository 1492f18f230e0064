<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Recall\Recall;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\KitMutants;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** A dry fit that cannot fail proves nothing: every mutant of a good kit must turn it red. */
#[Group('property')]
final class MutantsTest extends TestCase
{
    /** @param  int|string  $which  the seed of a generated building, or the name of an example */
    #[DataProvider('provideKits')]
    public function testEveryMutantIsFound(int|string $which): void
    {
        $derived = is_string($which) ? Kits::example($which) : Kits::of((new BuildingGenerator($which))->document());
        [$kit, $building] = [Kits::serialised($derived), $derived->described];
        // RecallTest proves that what is remembered of the sound kit changes no answer.
        $recall = new Recall;
        self::assertSame([], DryFit::check($kit, $building, $recall)->toArray()['findings'], 'the kit itself is sound');
        $missed = [];
        $made = 0;
        foreach (Sample::oneIn(
            count((array) $kit['parts']) > 60 ? 12 : 2,
            KitMutants::of($kit, is_int($which) ? $which : Sample::seed()),
        ) as $what => $mutant) {
            $made++;
            if (DryFit::check($mutant, $building, new Recall($recall->answers()))->goesTogether()) {
                $missed[] = $what;
            }
        }
        self::assertSame([], $missed, 'CHARTULA_SEED='.Sample::seed());
        self::assertGreaterThan(5, $made);
    }

    /** @return iterable<string, array{int|string}> */
    public static function provideKits(): iterable
    {
        yield 'the weigh office' => ['weigh-office'];
        yield 'the creamery' => ['creamery'];
        foreach (range(1, Sample::isDeep() ? 40 : 2) as $seed) {
            yield "seed $seed" => [$seed];
        }
    }
}
