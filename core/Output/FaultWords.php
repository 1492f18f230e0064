<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Building\Edit\Cure;
use Chartula\Core\Building\Whereabouts;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Problem\ProblemText;
use stdClass;

/** Faults for a screen: where, in the names a person gave, and what is wrong, in the units a person reads. */
final readonly class FaultWords
{
    /**
     * @param  list<array{path: string, code: string, text: string, facts?: array<string, string|int|float>}>  $faults  as they were kept
     * @return list<array{path: string, code: string, text: string, where: string, says: array{imperial: string, metric: string},
     *     go: array{stage: string, block: ?string, wall: ?string, opening: ?string}, cure: ?array{words: string, edit: stdClass}}>
     */
    public static function of(stdClass $document, array $faults): array
    {
        // Of a row that runs past its wall's end each window says so; once is enough.
        $byPlace = [];
        foreach ($faults as $fault) {
            $byPlace[$fault['path'].' '.$fault['code']] ??= $fault;
        }

        return array_map(static function (array $fault) use ($document): array {
            $at = Whereabouts::of($document, $fault['path']);
            $cure = Cure::of($document, new Problem($fault['path'], $fault['code'], $fault['facts'] ?? []));

            return [
                'path' => $fault['path'], 'code' => $fault['code'], 'text' => $fault['text'],
                'where' => $at->words, 'says' => self::says($fault),
                'go' => ['stage' => $at->stage, 'block' => $at->block, 'wall' => $at->wall, 'opening' => $at->opening],
                'cure' => $cure === null ? null : ['words' => $cure->words, 'edit' => $cure->edit],
            ];
        }, array_values($byPlace));
    }

    /** @param  string  $units  `imperial`, or anything else for metric ones */
    public static function said(Problem $problem, string $units): string
    {
        return self::says($problem->kept())[$units === 'imperial' ? 'imperial' : 'metric'];
    }

    /**
     * @param  array{path: string, code: string, text: string, facts?: array<string, string|int|float>}  $fault
     * @return array{imperial: string, metric: string}
     */
    private static function says(array $fault): array
    {
        // What was kept before there were facts has its sentence alone.
        if (! isset($fault['facts'])) {
            return ['imperial' => $fault['text'], 'metric' => $fault['text']];
        }
        $problem = new Problem($fault['path'], $fault['code'], $fault['facts']);
        $model = static fn (float $mm): string => LengthFormat::millimetres($mm);
        $imperial = static fn (float $mm, bool $isReal): string => $isReal ? LengthFormat::imperial($mm) : $model($mm);
        $metric = static fn (float $mm, bool $isReal): string => $isReal ? LengthFormat::metric($mm) : $model($mm);

        return ['imperial' => ProblemText::of($problem, $imperial), 'metric' => ProblemText::of($problem, $metric)];
    }
}
