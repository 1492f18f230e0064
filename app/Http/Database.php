<?php

declare(strict_types=1);

namespace App\Http;

use PDOException;

/** What is wrong with the database where a request fails at it and nothing is wrong with the request. */
final readonly class Database
{
    /** It does not answer, is going down or coming up: class 08, 57P, and what the driver says of a connection that broke. */
    private const AWAY = '/SQLSTATE\[(?:08|57P0)|server closed the connection|no connection to the server|could not connect/';

    /**
     * It is read-only, its disk is full, or it has run out of memory: 25006, class 53. What comes after in the same transaction is 25P02.
     */
    private const TAKES_NOTHING = '/SQLSTATE\[(?:25006|25P02|53)/';

    public static function isAway(PDOException $e): bool
    {
        return preg_match(self::AWAY, $e->getMessage()) === 1;
    }

    public static function takesNothing(PDOException $e): bool
    {
        return preg_match(self::TAKES_NOTHING, $e->getMessage()) === 1;
    }
}
