<?php

declare(strict_types=1);

namespace Tests\Support;

use Closure;
use PHPUnit\Framework\Assert;
use stdClass;

/** A sentence that must hold of every document. Where it fails it says of which seeds, and shows the least document. */
final class Property
{
    /**
     * @param  iterable<int, stdClass>  $documents  by seed
     * @param  Closure(stdClass): ?string  $wrong  what is wrong with one, or null
     * @param  array<string, list<int>>  $known  seeds that are known to fail, by reason; one that fails no more must be taken off
     * @return int how many documents were tried
     */
    public static function holds(iterable $documents, Closure $wrong, array $known = []): int
    {
        $failed = $tried = [];
        foreach ($documents as $seed => $document) {
            $tried[] = $seed;
            $what = $wrong(LeastDocument::copy($document));
            if ($what !== null) {
                $failed[$seed] = ['what' => $what, 'document' => $document];
            }
        }
        $expected = array_intersect(array_merge(...array_values($known)), $tried);
        Assert::assertSame([], array_values(array_diff($expected, array_keys($failed))), 'Seeds that fail no more: take them off the list');
        $new = array_diff_key($failed, array_flip($expected));
        if ($new !== []) {
            Assert::fail(self::told($new, $wrong));
        }
        Assert::assertNotSame([], $tried);

        return count($tried);
    }

    /**
     * @param  non-empty-array<int, array{what: string, document: stdClass}>  $failed
     * @param  Closure(stdClass): ?string  $wrong
     */
    private static function told(array $failed, Closure $wrong): string
    {
        $lines = [];
        foreach ($failed as $seed => $one) {
            $lines[] = "seed $seed: {$one['what']}";
        }
        $seed = array_key_first($failed);
        $least = LeastDocument::of($failed[$seed]['document'], $wrong);

        return implode("\n", $lines)."\nThe least document of seed $seed that fails, with “{$wrong(LeastDocument::copy($least))}”:\n"
            .json_encode($least, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
