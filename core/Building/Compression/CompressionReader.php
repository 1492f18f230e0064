<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Compression;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Values;

/** Reads `compression`; whether a step can be taken is found out where it is. */
final readonly class CompressionReader
{
    private const MOST = 100;

    /** As long as three names of 32 with points between them. */
    private const LONGEST = 98;

    private const MOST_COUNT = 200;

    private const LEAST_FACTOR = 0.5;

    public static function read(?Node $node, Values $values): Compression
    {
        if ($node === null || ! $node->isObject([], ['steps', 'protect', 'keep'])) {
            return Compression::none();
        }
        $protect = Compression::PROTECTED;
        if ($node->get('protect') !== null) {
            $protect = array_values(
                array_filter(
                    array_map(
                        static fn (Node $n): ?string => $n->choice(Compression::PROTECTED),
                        $node->get('protect')->items(count(Compression::PROTECTED)),
                    ),
                ),
            );
        }
        $steps = [];
        foreach ($node->get('steps')?->items(self::MOST) ?? [] as $item) {
            $step = self::step($item, $values);
            array_push($steps, ...($step === null ? [] : [$step]));
        }

        $keep = array_map(static fn (Node $n): ?string => $n->text(self::LONGEST), $node->get('keep')?->items(self::MOST) ?? []);

        return new Compression($steps, $protect, array_values(array_filter($keep, static fn (?string $k): bool => $k !== null)));
    }

    private static function step(Node $node, Values $values): ?Step
    {
        $op = $node->get('op')?->choice(Step::OPS);
        if ($op === null) {
            $node->isObject(['op'], ['block', 'edge', 'storey', 'by', 'count', 'off']);

            return null;
        }
        $required = match ($op) {
            Step::MARGINS, Step::PIERS, Step::SHORTEN, Step::SPREAD, Step::LENGTHS => ['op', 'block', 'edge', 'by'],
            Step::BAYS => ['op', 'block', 'edge', 'count'],
            Step::COURSES => ['op', 'block', 'count'],
            Step::STOREY => ['op', 'block', 'storey'],
            Step::FACTOR => ['op', 'by'],
            Step::OMIT => ['op', 'block'],
        };
        if (! $node->isObject($required, ['off'])) {
            return null;
        }
        $isFactor = $op === Step::FACTOR || $op === Step::LENGTHS;
        $by = $isFactor ? $node->get('by')?->number() : $values->real($node->get('by'))?->mm;
        if ($isFactor && $by !== null && ($by < self::LEAST_FACTOR || $by >= 1.0)) {
            $node->get('by')?->fault('number-out-of-range', ['given' => $by, 'wanted' => 'at least '.self::LEAST_FACTOR.' and under 1']);
        }
        $count = $node->get('count')?->whole(1, self::MOST_COUNT);
        $off = $node->get('off') === null ? false : $node->get('off')->bool();
        $isWhole = (! in_array('by', $required, true) || $by !== null)
            && (! in_array('count', $required, true) || $count !== null)
            && $off !== null;

        return $isWhole
            ? new Step(
                $op, $node->get('block')?->text(32), $node->get('edge')?->text(32), $node->get('storey')?->text(32), $by ?? 0.0,
                $count ?? 0, $off, $node->path,
            )
            : null;
    }
}
