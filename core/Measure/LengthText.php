<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

use Chartula\Core\Problem\InvalidInput;

/**
 * Reads a length as people write it: `18' 6"`, `38br`, `4 1/2in`, `1.5mm model`. The grammar is that of docs/formats.md.
 */
final readonly class LengthText
{
    private const NUMBER = '(?:\d+ +\d+ *\/ *\d+|\d+ *\/ *\d+|\d+(?:\.\d+)?)';

    private const FOOT_MM = 304.8;

    private const INCH_MM = 25.4;

    private const UNIT_MM = ['yd' => 914.4, 'm' => 1000.0, 'cm' => 10.0, 'mm' => 1.0, 'thou' => 0.0254];

    private const WORDS = [
        'feet|foot|ft\.' => 'ft', 'inches|inch|in\.' => 'in', 'yards|yard|yd\.' => 'yd', 'bricks|brick|br\.' => 'br',
        'courses|course|co\.' => 'co', 'millimetres|millimetre|mm\.' => 'mm', 'centimetres|centimetre|cm\.' => 'cm',
        'metres|metre|m\.' => 'm',
    ];

    /** Longer texts are never lengths. */
    private const LONGEST = 60;

    public function __construct(private Gauge $gauge)
    {
    }

    /**
     * Millimetres of a world; a length written without one is of that world.
     *
     * @throws InvalidInput at $path where it is no length above 0
     */
    public function aboveZero(string $text, string $path, World $native, Scale $scale): float
    {
        $mm = $this->parse($text, $path, $native)->in($native, $scale);

        return $mm > 0.0 ? $mm : throw InvalidInput::at($path, 'length.not-above-zero', ['given' => $text]);
    }

    /**
     * @throws InvalidInput at $path: length.no-unit, length.not-understood, length.inches, length.zero-denominator
     */
    public function parse(string $text, string $path, World $native = World::Real): ParsedLength
    {
        $terms = strlen($text) > self::LONGEST ? false : preg_split('/(?<=\S) +([+−-]) +(?=\S)/u', $text, -1, PREG_SPLIT_DELIM_CAPTURE);
        if ($terms === false) {
            throw self::notUnderstood($text, $path, $native);
        }
        $sum = $this->term($terms[0], $path, $native, $text);
        for ($i = 1; $i + 1 < count($terms); $i += 2) {
            $term = $this->term($terms[$i + 1], $path, $native, $text);
            $sum = $sum->plus(new ParsedLength($terms[$i] === '+' ? $term->mm : -$term->mm, $term->world));
        }

        return $sum;
    }

    private static function notUnderstood(string $text, string $path, World $native): InvalidInput
    {
        return InvalidInput::at($path, preg_match('/^ *-? *[\d.,\/ ]+$/D', $text) === 1 ? 'length.no-unit' : 'length.not-understood', [
            'given' => mb_substr($text, 0, self::LONGEST),
            'example' => $native === World::Real ? '3ft 6in, 1070mm or 12br' : '1.5mm',
        ]);
    }

    /** As hands and telephones write it, in the words of the grammar. */
    private static function plain(string $text): string
    {
        $text = strtr($text, ['’' => "'", '‘' => "'", '”' => '"', '“' => '"', "''" => '"']);

        return (string) preg_replace(
            [
                ...array_map(static fn (string $word): string => "/(?<=[\\d ])(?:$word)(?![a-z])/u", array_keys(self::WORDS)),
                '/(\d),(\d{1,2}|\d{4,})(?!\d)/',
            ],
            [...array_values(self::WORDS), '$1.$2'],
            $text,
        );
    }

    /**
     * @param  string  $whole  the text that it is a part of
     *
     * @throws InvalidInput
     */
    private function term(string $given, string $path, World $native, string $whole): ParsedLength
    {
        $text = self::plain($given);
        if (preg_match('/^0(?:\.0+)?$/D', $text) === 1) {
            return new ParsedLength(0.0, null);
        }
        $number = self::NUMBER;
        $pattern = "/^(?<minus>- *)?(?:(?<feet>$number) *(?:ft|'|′)(?: *(?<inches>$number) *(?:in|\"|″)?)?"
            ."|(?<only>$number) *(?:in|\"|″)|(?<number>$number) *(?<unit>yd|mm|cm|m|thou|br|co))(?: +(?<world>model|real))?$/Du";
        if (preg_match($pattern, $text, $match, PREG_UNMATCHED_AS_NULL) !== 1) {
            throw self::notUnderstood($whole, $path, $native);
        }
        $mm = match (true) {
            isset($match['feet']) => $this->number($match['feet'], $text, $path) * self::FOOT_MM
                + $this->inchesAfterFeet($match['inches'] ?? '0', $text, $path) * self::INCH_MM,
            isset($match['only']) => $this->number($match['only'], $text, $path) * self::INCH_MM,
            default => $this->number($match['number'] ?? '0', $text, $path) * $this->unitMm($match['unit'] ?? 'mm'),
        };

        return new ParsedLength(isset($match['minus']) ? -$mm : $mm, World::tryFrom($match['world'] ?? ''));
    }

    private function unitMm(string $unit): float
    {
        return match ($unit) {
            'br' => $this->gauge->brick_mm,
            'co' => $this->gauge->course_mm,
            default => self::UNIT_MM[$unit],
        };
    }

    private function inchesAfterFeet(string $inches, string $text, string $path): float
    {
        $value = $this->number($inches, $text, $path);
        if ($value >= 12.0) {
            throw InvalidInput::at($path, 'length.inches', ['given' => $text, 'inches' => $value]);
        }

        return $value;
    }

    private function number(string $number, string $text, string $path): float
    {
        if (! str_contains($number, '/')) {
            return (float) $number;
        }
        preg_match('/^(?:(\d+) +)?(\d+) *\/ *(\d+)$/D', $number, $part);
        $denominator = (float) ($part[3] ?? '0');
        if ($denominator <= 0.0) {
            throw InvalidInput::at($path, 'length.zero-denominator', ['given' => $text]);
        }

        return (float) ($part[1] ?? '0') + (float) ($part[2] ?? '0') / $denominator;
    }
}
