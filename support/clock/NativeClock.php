<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

use DateTimeImmutable;
use DateTimeZone;

/** The system's clock (docs/decisions/0002-missing-packages.md). */
final class NativeClock implements ClockInterface
{
    private DateTimeZone $timezone;

    public function __construct(DateTimeZone|string|null $timezone = null)
    {
        $this->timezone = self::zone($timezone ?? date_default_timezone_get());
    }

    public function now(): DateTimeImmutable
    {
        return new DateTimeImmutable('now', $this->timezone);
    }

    public function sleep(float|int $seconds): void
    {
        usleep((int) round($seconds * 1_000_000));
    }

    public function withTimeZone(DateTimeZone|string $timezone): static
    {
        $clone = clone $this;
        $clone->timezone = self::zone($timezone);

        return $clone;
    }

    private static function zone(DateTimeZone|string $timezone): DateTimeZone
    {
        return is_string($timezone) ? new DateTimeZone($timezone) : $timezone;
    }
}
