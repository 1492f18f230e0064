<?php

declare(strict_types=1);

namespace Tests\Browser;

use RuntimeException;
use Symfony\Component\Process\Process;

/** The served application that this process of the test run works against; each process has one to itself. */
final class Served
{
    public static function address(): string
    {
        $address = getenv('CHARTULA_WEB_'.self::number());

        return is_string($address) ? $address : throw new RuntimeException('bin/test browser serves the application');
    }

    /** The name of its instance, as bin/ knows it. */
    public static function instance(): string
    {
        return 'test'.(self::number() === 1 ? '' : self::number());
    }

    /** @param  string  $what  web-kill, web-up, database-kill or database-up */
    public static function does(string $what): void
    {
        self::begun($what)->mustRun();
    }

    /** The same, by a process that the caller starts; it waits so long first. */
    public static function begun(string $what, float $afterS = 0.0): Process
    {
        $command = ['bash', '-c', 'sleep "$0"; exec bin/instance "$1"', number_format($afterS, 2, '.', ''), $what];

        return new Process($command, dirname(__DIR__, 2), ['CHARTULA_INSTANCE' => self::instance()]);
    }

    private static function number(): int
    {
        $token = getenv('TEST_TOKEN');

        return is_string($token) && $token !== '' ? (int) $token : 1;
    }
}
