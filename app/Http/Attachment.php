<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\HeaderUtils;

/** The name of a file that is sent: of what it is called, in whatever letters. */
final readonly class Attachment
{
    /** The header that names a file after a thing, with an ending of its own. */
    public static function header(string $called, string $ending): string
    {
        return HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, self::stem($called).$ending, self::plain($called).$ending);
    }

    /** Letters and figures with hyphens between, as plain as they can be written. */
    public static function stem(string $called): string
    {
        $plain = Str::slug($called);
        $letters = trim((string) preg_replace('/[^\pL\pM\pN]+/u', '-', mb_substr($called, 0, 80)), '-');

        // Where a letter has no plain one to stand for it, all stay as they are.
        $isWhole = mb_strlen((string) preg_replace('/[^\pL\pN]+/u', '', mb_substr($called, 0, 80))) <= strlen(str_replace('-', '', $plain));

        return match (true) {
            $plain !== '' && $isWhole => $plain,
            $letters !== '' => $letters,
            default => 'building',
        };
    }

    /** The same for programs that know plain letters only. */
    private static function plain(string $called): string
    {
        $plain = Str::slug($called);

        return $plain !== '' ? $plain : 'building';
    }
}
