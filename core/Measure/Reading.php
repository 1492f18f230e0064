<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

use Chartula\Core\Problem\InvalidInput;

/** Typed lengths, each read by itself: real and model size in both systems. */
final readonly class Reading
{
    /** A gauge of nothing, while it is being typed, must not divide anything. */
    private const LEAST_PITCH_MM = 0.001;

    /** What would be smaller than this on the model, in millimetres that say neither, is asked about. */
    private const LIKELY_MODEL_MM = 1.0;

    /**
     * @param  list<array{text: string, world: World}>  $lengths
     * @param  array{brick?: string, course?: string}  $gauge  as entered; imperial where it is not given
     * @return list<array{size: ?array{real_mm: float, model_mm: float, imperial: string, metric: string, model: string}, fault: ?string,
     *     asks: ?string, offers: list<string>}>
     *
     * @throws InvalidInput at scale, or within gauge
     */
    public static function all(array $lengths, string $scale, array $gauge): array
    {
        $ratio = Scale::parse($scale, 'scale');
        $text = new LengthText(self::gauge($gauge));

        return array_map(static fn (array $length): array => self::one($length['text'], $length['world'], $text, $ratio), $lengths);
    }

    /**
     * @return array{size: ?array{real_mm: float, model_mm: float, imperial: string, metric: string, model: string}, fault: ?string,
     *     asks: ?string, offers: list<string>}
     */
    private static function one(string $text, World $native, LengthText $lengths, Scale $scale): array
    {
        try {
            $parsed = $lengths->parse($text, 'text', $native);
        } catch (InvalidInput $e) {
            return ['size' => null, 'fault' => $e->problems[0]->text(), 'asks' => null, 'offers' => self::units($text, $native)];
        }
        $mm = $native === World::Real ? $parsed->in(World::Real, $scale) / $scale->ratio : $parsed->in(World::Model, $scale);
        // So small a thing of the prototype is more likely one of the model.
        $isModel = $native === World::Real && $parsed->world === null && $parsed->more === []
            && preg_match('/(mm|thou)$/D', trim($text)) === 1 && $mm > 0.0 && $mm < self::LIKELY_MODEL_MM;

        return [
            'size' => Size::ofModel($mm, $scale), 'fault' => null,
            'asks' => $isModel ? 'Is that a size of the model?' : null, 'offers' => $isModel ? [trim($text).' model'] : [],
        ];
    }

    /** @return list<string> a figure without a unit, with those that it may have */
    private static function units(string $text, World $native): array
    {
        $figure = trim($text);

        return match (true) {
            preg_match('/^\d+(?:[.,]\d+)?$/D', $figure) !== 1 => [],
            $native === World::Model => ["{$figure}mm"],
            default => ["{$figure}ft", "{$figure}in", "{$figure}m", "{$figure}mm model"],
        };
    }

    /** @param  array{brick?: string, course?: string}  $gauge */
    private static function gauge(array $gauge): Gauge
    {
        $usual = Gauge::imperial();
        $plain = new LengthText($usual);
        $pitch = static fn (string $key, float $default): float => isset($gauge[$key])
            ? max(self::LEAST_PITCH_MM, $plain->parse($gauge[$key], "gauge.$key")->in(World::Real, Scale::of(76.2)))
            : $default;

        return new Gauge($pitch('brick', $usual->brick_mm), $pitch('course', $usual->course_mm), $usual->joint_mm);
    }
}
