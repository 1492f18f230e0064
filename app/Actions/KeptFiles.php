<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Building;
use App\Models\StoredKit;
use App\Pictures\KeptPictures;
use Illuminate\Filesystem\Filesystem;
use RuntimeException;

/**
 * Drawings and files of a revision, kept as the bytes they were sent as: what a text gives does not change while the core does not. They
 * lie on the disk beside what else was worked out, no more of them than a bound; the oldest go first.
 */
final readonly class KeptFiles
{
    /** What is larger is made anew each time. */
    private const MOST_BYTES_OF_ONE = 8 * 1024 * 1024;

    private const MOST_BYTES = 256 * 1024 * 1024;

    /** All are counted after so many have been kept. */
    private const COUNTED_EVERY = 50;

    public function __construct(private Filesystem $files)
    {
    }

    public static function folder(): string
    {
        return storage_path('framework/cache/kept');
    }

    /**
     * The bytes that were kept under what they are of, or those that are made now.
     *
     * @param  string  $text  of the revision
     * @param  string  $what  which file of it, with everything that it depends on beside the text
     * @param  callable(): string  $make
     */
    public function of(string $text, string $what, callable $make): string
    {
        $building = request()->route('building');
        // What is printed keeps its labels and its place.
        $what .= $building instanceof Building
            ? ' '.json_encode([$building->printed(), KeptPictures::named($building, $text)])
            : '';
        $key = hash('sha256', config()->string('chartula.core_version')."\n".StoredKit::fingerprint($text)."\n".$what);
        $path = self::folder().'/'.substr($key, 0, 2)."/$key";
        if ($this->files->isFile($path)) {
            $kept = @file_get_contents($path);
            if (is_string($kept)) {
                return $kept;
            }
        }
        $bytes = $make();
        if (strlen($bytes) <= self::MOST_BYTES_OF_ONE) {
            $this->keep($path, $bytes);
        }

        return $bytes;
    }

    /** Whole or not at all; where it cannot be kept it is made again next time. */
    private function keep(string $path, string $bytes): void
    {
        $half = $path.'.'.bin2hex(random_bytes(6));
        $folder = dirname($path);
        $isThere = is_dir($folder) || @mkdir($folder, 0700, true) || is_dir($folder);
        if ($isThere && @file_put_contents($half, $bytes) === strlen($bytes)) {
            rename($half, $path);
        } else {
            @unlink($half);
        }
        if (random_int(1, self::COUNTED_EVERY) === 1) {
            app()->terminating($this->bound(...));
        }
    }

    /** Lets the oldest go until no more than the bound is left. */
    public function bound(int $most = self::MOST_BYTES): void
    {
        $found = [];
        try {
            foreach ($this->files->isDirectory(self::folder()) ? $this->files->allFiles(self::folder()) : [] as $file) {
                $found[] = [$file->getMTime(), $file->getSize(), $file->getPathname()];
            }
        } catch (RuntimeException) {
            // Somebody else clears it at this moment.
            return;
        }
        rsort($found);
        $sum = 0;
        foreach ($found as [, $size, $path]) {
            $sum += $size;
            if ($sum > $most) {
                @unlink($path);
            }
        }
    }
}
