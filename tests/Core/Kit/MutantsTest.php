<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Kit\DryFit\DryFit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\KitMutants;
use Tests\Support\Kits;

/** A dry fit that cannot fail proves nothing: every mutant of a good kit must turn it red. */
#[Group('property')]
final class MutantsTest extends TestCase
{
    /** @param  int|string  $which  the seed of a generated building, or the name of an example */
    #[DataProvider('provideKits')]
    public function testEveryMutantIsFound(int|string $which): void
    {
        $kit = Kits::serialised(is_string($which) ? Kits::example($which) : Kits::of((new BuildingGenerator($which))->document()));
        self::assertSame([], DryFit::check($kit)->toArray()['findings'], 'the kit itself is sound');
        $missed = [];
        $made = 0;
        foreach (KitMutants::of($kit, is_int($which) ? $which : 1) as $what => $mutant) {
            $made++;
            if (DryFit::check($mutant)->goesTogether()) {
                $missed[] = $what;
            }
        }
        self::assertSame([], $missed);
        self::assertGreaterThan(20, $made);
    }

    /** @return iterable<string, array{int|string}> */
    public static function provideKits(): iterable
    {
        yield 'the weigh office' => ['weigh-office'];
        yield 'the creamery' => ['creamery'];
        foreach (range(1, getenv('CHARTULA_DEEP') !== false ? 40 : 3) as $seed) {
            yield "seed $seed" => [$seed];
        }
    }
}
