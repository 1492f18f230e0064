<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\ChoiceType;
use Chartula\Core\Field\Option;

/** How the head of an opening goes from jamb to jamb, or that it is round. docs/formulas.md#heads */
enum HeadShape: string
{
    case Flat = 'flat';

    /** Level to the eye: it rises by an eighth of an inch to a foot, so that it does not seem to sag. */
    case Cambered = 'cambered';

    case Segmental = 'segmental';
    case Round = 'round';
    case Pointed = 'pointed';
    case ThreeCentred = 'three-centred';
    case Elliptical = 'elliptical';

    /** No head, but all of a round light. */
    case Circle = 'circle';

    /** A span is so many times what a cambered head rises by. */
    private const CAMBER = 96.0;

    /** Of three arcs of 60° those at the sides would have no radius at a rise of this share of the span. */
    private const FLATTEST = 0.134;

    public static function choice(): ChoiceType
    {
        $option = static fn (self $shape): Option => new Option($shape->value, $shape->value, $shape->picture());

        return ChoiceType::among(...array_map($option, self::cases()));
    }

    /** @return non-empty-list<string> those whose rise has to be said */
    public static function withRise(): array
    {
        return [self::Segmental->value, self::ThreeCentred->value, self::Elliptical->value];
    }

    /** How far it rises over a span; null where it is level. */
    public function rise(float $span, ?float $said): ?float
    {
        return match ($this) {
            self::Flat => null,
            self::Round, self::Circle => $span / 2.0,
            self::Cambered => $span / self::CAMBER,
            self::Pointed => $said ?? $span * sqrt(3.0) / 2.0,
            default => $said,
        };
    }

    /** @return array{float, float} between how far and how far it may rise over a span */
    public function limits(float $span): array
    {
        return match ($this) {
            self::Pointed => [$span / 2.0, INF],
            self::ThreeCentred => [self::FLATTEST * $span, $span / 2.0],
            self::Elliptical => [0.0, INF],
            default => [0.0, $span / 2.0],
        };
    }

    private function picture(): string
    {
        return match ($this) {
            self::Flat => 'M5 20V6H19V20',
            self::Cambered => 'M5 20V7Q12 5.4 19 7V20',
            self::Segmental => 'M5 20V9Q12 3 19 9V20',
            self::Round => 'M5 20V12A7 7 0 0 1 19 12V20',
            self::Pointed => 'M5 20V12Q6 6 12 3Q18 6 19 12V20',
            self::ThreeCentred => 'M5 20V11Q5 6 12 6Q19 6 19 11V20',
            self::Elliptical => 'M5 20V11A7 4 0 0 1 19 11V20',
            self::Circle => 'M12 5A7 7 0 1 1 11.9 5',
        };
    }
}
