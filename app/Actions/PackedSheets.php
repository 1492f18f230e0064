<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\PackSheets;
use App\Models\Revision;
use App\Models\StoredKit;
use Illuminate\Support\Facades\Cache;

/** What a thorough search for fewer sheets found, kept beside the kit; it is looked for in the queue, once for each text. */
final readonly class PackedSheets
{
    /** A search that was not heard of for so many seconds may be asked for again. */
    private const GIVEN_UP_S = 600;

    /** @return ?array<string, mixed> answers for a recall; null where nothing is kept */
    public function answers(string $text): ?array
    {
        $kept = StoredKit::of($text)->value('packed');
        $answers = is_string($kept) ? unserialize((string) base64_decode($kept, true), ['allowed_classes' => false]) : null;

        /** @var ?array<string, mixed> $answers */
        return is_array($answers) ? $answers : null;
    }

    public function isKept(string $text): bool
    {
        return StoredKit::of($text)->whereNotNull('packed')->exists();
    }

    /** @param  array<string, mixed>  $answers */
    public function keep(string $text, array $answers): void
    {
        StoredKit::of($text)->update(['packed' => base64_encode(serialize($answers))]);
        $this->forget($text);
    }

    /** Puts the search into the queue, unless it is there. */
    public function ask(Revision $revision): void
    {
        if (Cache::add(self::key($revision->text), true, self::GIVEN_UP_S)) {
            PackSheets::dispatch($revision->building_id, $revision->number);
        }
    }

    public function isAskedFor(string $text): bool
    {
        return Cache::has(self::key($text));
    }

    public function forget(string $text): void
    {
        Cache::forget(self::key($text));
    }

    private static function key(string $text): string
    {
        return 'packing.'.config()->string('chartula.core_version').'.'.StoredKit::fingerprint($text);
    }
}
