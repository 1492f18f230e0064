<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\ModelLength;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\World;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Stock\Stock;

/** Reads lengths, ids, colours and stocks at a building's scale and gauge. What has no path was not said by anybody. */
final readonly class Values
{
    /** A kilometre: longer than any building a person models. */
    private const MOST_REAL_MM = 1_000_000.0;

    /** One printed dot covers this; no measured thickness or gap is finer. */
    public const LEAST_MODEL_MM = 0.01;

    private LengthText $lengths;

    /**
     * @param  array<string, Stock>  $stocks  that may be named
     * @param  array<string, list<string>>  $named  ids that lists of the document give, by the lists' keys
     */
    public function __construct(
        private Problems $problems,
        public Scale $scale,
        private Gauge $gauge,
        private array $stocks = [],
        private array $named = [],
    ) {
        $this->lengths = new LengthText($gauge);
    }

    /** @param  array<string, Stock>  $stocks */
    public function withStocks(array $stocks): self
    {
        return new self($this->problems, $this->scale, $this->gauge, $stocks, $this->named);
    }

    /** @param  array<string, list<string>>  $named  ids by the keys of their lists */
    public function withNamed(array $named): self
    {
        return new self($this->problems, $this->scale, $this->gauge, $this->stocks, $named);
    }

    /** The same, with faults that are nobody's. */
    public function quiet(): self
    {
        return new self(new Problems, $this->scale, $this->gauge, $this->stocks, $this->named);
    }

    public function real(?Node $node, Sign $sign = Sign::AboveZero): ?RealLength
    {
        $mm = $this->millimetres($node, World::Real, $sign);

        return match (true) {
            $mm === null || $node === null => null,
            $node->path === '' => RealLength::ofMillimetres($mm),
            default => RealLength::entered($mm, self::written($node), $node->path),
        };
    }

    public function model(?Node $node, Sign $sign = Sign::AboveZero): ?ModelLength
    {
        $mm = $this->millimetres($node, World::Model, $sign);

        return match (true) {
            $mm === null || $node === null => null,
            $node->path === '' => ModelLength::ofMillimetres($mm),
            default => ModelLength::entered($mm, self::written($node), $node->path),
        };
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

    public function stock(?Node $node): ?Stock
    {
        $id = $node?->text(100);
        if ($node === null || $id === null) {
            return null;
        }
        if (! isset($this->stocks[$id])) {
            $node->fault('unknown-stock', ['given' => $id, 'known' => implode(', ', array_keys($this->stocks))]);
        }

        return $this->stocks[$id] ?? null;
    }

    /** One of those that a list of the document names. */
    public function named(string $list, ?Node $node): ?string
    {
        $id = $node?->text(100);
        if ($node === null || $id === null) {
            return null;
        }
        $known = $this->named[$list] ?? [];
        if (! in_array($id, $known, true)) {
            $node->fault('unknown-name', ['given' => $id, 'list' => $list, 'known' => $known === [] ? 'none' : implode(', ', $known)]);

            return null;
        }

        return $id;
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
