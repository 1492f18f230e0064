<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Support\DocumentMutants;
use Tests\Support\Sample;
use Throwable;

/** Whatever a document says, it is made or refused with its faults; nothing else is ever thrown. */
final class MutatedDocumentsTest extends TestCase
{
    private const DEEP = 20_000;

    private const QUICK = 300;

    #[Group('property')]
    public function testEveryDocumentIsMadeOrRefused(): void
    {
        $count = ['made' => 0, 'refused' => 0];
        $broken = [];
        foreach (self::seeds() as $seed) {
            $text = DocumentMutants::text($seed);
            try {
                Derivation::of(BuildingReader::fromText($text), $text);
                $count['made']++;
            } catch (InvalidInput) {
                $count['refused']++;
            } catch (Throwable $e) {
                $broken[] = "seed $seed: ".$e::class." “{$e->getMessage()}” at {$e->getFile()}:{$e->getLine()}\n$text";
            }
        }
        self::assertSame([], $broken);
        self::assertGreaterThan(array_sum($count) / 20, $count['made'], 'hardly any is made');
        self::assertGreaterThan(array_sum($count) / 20, $count['refused'], 'hardly any is refused');
    }

    /** @return list<int> */
    private static function seeds(): array
    {
        return Sample::isDeep() ? range(1, self::DEEP) : range(Sample::seed() % 1_000_000, Sample::seed() % 1_000_000 + self::QUICK - 1);
    }
}
