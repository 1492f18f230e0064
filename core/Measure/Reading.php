<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

use Chartula\Core\Problem\InvalidInput;

/** Typed lengths, each read by itself: real and model size in both systems. */
final readonly class Reading
{
    /** A gauge of nothing, while it is being typed, must not divide anything. */
    private const LEAST_PITCH_MM = 0.001;

    /**
     * @param  list<array{text: string, world: World}>  $lengths
     * @param  array{brick?: string, course?: string}  $gauge  as entered; imperial where it is not given
     * @return list<array{size: ?array{real_mm: float, model_mm: float, imperial: string, metric: string, model: string}, fault: ?string}>
     *
     * @throws InvalidInput at scale, or within gauge
     */
    public static function all(array $lengths, string $scale, array $gauge): array
    {
        $ratio = Scale::parse($scale, 'scale');
        $text = new LengthText(self::gauge($gauge));

        return array_map(static fn (array $length): array => self::one($length['text'], $length['world'], $text, $ratio), $lengths);
    }

    /** @return array{size: ?array{real_mm: float, model_mm: float, imperial: string, metric: string, model: string}, fault: ?string} */
    private static function one(string $text, World $native, LengthText $lengths, Scale $scale): array
    {
        try {
            $parsed = $lengths->parse($text, 'text', $native);
        } catch (InvalidInput $e) {
            return ['size' => null, 'fault' => $e->problems[0]->text()];
        }

        $isReal = ($parsed->world ?? $native) === World::Real;

        return ['size' => Size::ofModel($isReal ? $parsed->mm / $scale->ratio : $parsed->mm, $scale), 'fault' => null];
    }

    /** @param  array{brick?: string, course?: string}  $gauge */
    private static function gauge(array $gauge): Gauge
    {
        $usual = Gauge::imperial();
        $plain = new LengthText($usual);
        $pitch = static fn (string $key, float $default): float => isset($gauge[$key])
            ? max(self::LEAST_PITCH_MM, $plain->parse($gauge[$key], "gauge.$key")->mm)
            : $default;

        return new Gauge($pitch('brick', $usual->brick_mm), $pitch('course', $usual->course_mm), $usual->joint_mm);
    }
}
