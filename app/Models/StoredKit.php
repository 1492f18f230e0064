<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * A derived kit with its view, kept by the fingerprint of the text and the core's version; never edited.
 *
 * @property string $fingerprint
 * @property string $core_version
 * @property string $answer
 * @property ?string $packed  what a thorough search for fewer sheets found
 * @property string $parts  fingerprints of cut and print, how often it is cut, and its label, by part, as JSON
 */
final class StoredKit extends Model
{
    public const UPDATED_AT = null;

    protected $table = 'kits';

    protected $fillable = ['fingerprint', 'core_version', 'answer', 'parts', 'packed'];

    public static function fingerprint(string $text): string
    {
        return 'sha256:'.hash('sha256', $text);
    }

    /** @return Builder<self> that of a document's text by the core as it is now */
    public static function of(string $text): Builder
    {
        return self::query()
            ->where('fingerprint', self::fingerprint($text))
            ->where('core_version', config()->string('chartula.core_version'));
    }

    /** @return ?array<string, array{string, string, int, string}> cut, print, number and label of each part; null where it is not kept */
    public static function partsOf(string $text): ?array
    {
        $kept = self::of($text)->value('parts');
        $parts = is_string($kept) ? json_decode($kept, true) : null;

        /** @var ?array<string, array{string, string, int, string}> $parts */
        return is_array($parts) ? $parts : null;
    }
}
