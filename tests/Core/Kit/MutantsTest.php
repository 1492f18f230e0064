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
    /** @param  ?int  $seed of a generated building; null for the weigh office */
    #[DataProvider('provideKits')]
    public function testEveryMutantIsFound(?int $seed): void
    {
        $kit = Kits::serialised($seed === null ? Kits::example('weigh-office') : Kits::of((new BuildingGenerator($seed))->document()));
        self::assertSame([], DryFit::check($kit)->toArray()['findings'], 'the kit itself is sound');
        $missed = [];
        $made = 0;
        foreach (KitMutants::of($kit, $seed ?? 1) as $what => $mutant) {
            $made++;
            if (DryFit::check($mutant)->goesTogether()) {
                $missed[] = $what;
            }
        }
        self::assertSame([], $missed);
        self::assertGreaterThan(20, $made);
    }

    /** @return iterable<string, array{?int}> */
    public static function provideKits(): iterable
    {
        yield 'the weigh office' => [null];
        foreach (range(1, getenv('CHARTULA_DEEP') !== false ? 40 : 3) as $seed) {
            yield "seed $seed" => [$seed];
        }
    }
}
