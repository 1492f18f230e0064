<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\ModelLength;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\World;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;

/** Reads lengths, ids and colours at a building's scale and gauge. */
final readonly class Values
{
    /** A kilometre: longer than any building a person models. */
    private const MOST_REAL_MM = 1_000_000.0;

    /** One printed dot covers this; no measured thickness or gap is finer. */
    public const LEAST_MODEL_MM = 0.01;

    private LengthText $lengths;

    public function __construct(
        private Problems $problems,
        private Scale $scale,
        Gauge $gauge,
    ) {
        $this->lengths = new LengthText($gauge);
    }

    public function real(?Node $node, Sign $sign = Sign::AboveZero): ?RealLength
    {
        $mm = $this->millimetres($node, World::Real, $sign);

        return $mm === null || $node === null ? null : RealLength::entered($mm, self::written($node), $node->path);
    }

    public function model(?Node $node, Sign $sign = Sign::AboveZero): ?ModelLength
    {
        $mm = $this->millimetres($node, World::Model, $sign);

        return $mm === null || $node === null ? null : ModelLength::entered($mm, self::written($node), $node->path);
    }

    public function id(?Node $node): ?string
    {
        $text = $node?->text(100);
        if ($node === null || $text === null) {
            return null;
        }
        if (preg_match('/^[a-z0-9-]{1,32}$/D', $text) !== 1) {
            $node->fault('id-shape', ['given' => $text]);

            return null;
        }

        return $text;
    }

    /** @return ?string #rrggbb in lower case */
    public function colour(?Node $node): ?string
    {
        $text = $node?->text(100);
        if ($node === null || $text === null) {
            return null;
        }
        if (preg_match('/^#[0-9a-fA-F]{6}$/D', $text) !== 1) {
            $node->fault('colour', ['given' => $text]);

            return null;
        }

        return strtolower($text);
    }

    private static function written(Node $node): string
    {
        return is_string($node->value) ? $node->value : '';
    }

    private function millimetres(?Node $node, World $native, Sign $sign): ?float
    {
        if ($node === null) {
            return null;
        }
        if (is_int($node->value) || is_float($node->value)) {
            $node->fault(
                'length.no-unit',
                ['given' => $node->value, 'example' => $native === World::Real ? '“3ft 6in”, “1070mm” or “12br”' : '“1.5mm”'],
            );

            return null;
        }
        $text = $node->text(100);
        if ($text === null) {
            return null;
        }
        try {
            $parsed = $this->lengths->parse($text, $node->path, $native);
        } catch (InvalidInput $e) {
            foreach ($e->problems as $problem) {
                $this->problems->add($problem->path, $problem->code, $problem->facts);
            }

            return null;
        }
        $mm = $parsed->in($native, $this->scale);
        $realMm = $native === World::Real ? $mm : $mm * $this->scale->ratio;
        $code = match (true) {
            $sign === Sign::AboveZero && $mm <= 0.0 => $mm < 0.0 ? 'length.negative' : 'length.not-above-zero',
            $sign === Sign::ZeroOrMore && $mm < 0.0 => 'length.negative',
            abs($realMm) > self::MOST_REAL_MM => 'length.too-long',
            default => null,
        };
        if ($code !== null) {
            $node->fault($code, ['given' => $text, 'metres' => round($realMm / 1000.0, 1)]);

            return null;
        }

        return $mm;
    }
}
