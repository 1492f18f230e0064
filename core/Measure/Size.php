<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** A size as screens show it: real and model side by side, written in both systems. */
final readonly class Size
{
    /** @return array{real_mm: float, model_mm: float, imperial: string, metric: string, model: string} */
    public static function ofModel(float $model_mm, Scale $scale): array
    {
        $real = $model_mm * $scale->ratio;

        return [
            'real_mm' => round($real, 4), 'model_mm' => round($model_mm, 4),
            'imperial' => LengthFormat::imperial($real), 'metric' => LengthFormat::metric($real),
            'model' => LengthFormat::millimetres($model_mm),
        ];
    }

    /** @return array{real_mm: float, model_mm: float, imperial: string, metric: string, model: string} */
    public static function ofReal(RealLength $real, Scale $scale): array
    {
        return self::ofModel($scale->modelMm($real), $scale);
    }
}
