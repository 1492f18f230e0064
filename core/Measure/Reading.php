<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

use Chartula\Core\Problem\InvalidInput;

/** A typed length, read by itself: real and model size in both systems. */
final readonly class Reading
{
    /**
     * @param  array{brick?: string, course?: string}  $gauge  as entered; imperial where it is not given
     * @return array{real_mm: float, model_mm: float, imperial: string, metric: string, model: string}
     *
     * @throws InvalidInput at $path, or at scale
     */
    public static function of(string $text, string $scale, string $world, string $path, array $gauge = []): array
    {
        $ratio = Scale::parse($scale, 'scale');
        $usual = Gauge::imperial();
        $plain = new LengthText($usual);
        $pitch = static fn (string $key, float $default): float => isset($gauge[$key]) ? max(0.001, $plain->parse($gauge[$key], "gauge.$key")->mm) : $default;
        $lengths = new LengthText(new Gauge($pitch('brick', $usual->brick_mm), $pitch('course', $usual->course_mm), $usual->joint_mm));
        $native = World::from($world);
        $parsed = $lengths->parse($text, $path, $native);
        $isReal = ($parsed->world ?? $native) === World::Real;

        return Size::ofModel($isReal ? $parsed->mm / $ratio->ratio : $parsed->mm, $ratio);
    }
}
