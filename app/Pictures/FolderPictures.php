<?php

declare(strict_types=1);

namespace App\Pictures;

use Chartula\Core\Drawing\Pictures;

/** Pictures that lie in a folder, under whatever names. */
final readonly class FolderPictures implements Pictures
{
    /** What begins so is a JPEG file. */
    private const JPEG = "\xFF\xD8\xFF";

    private const MOST_BYTES = 32 * 1024 * 1024;

    /** @param  array<string, string>  $files  by the SHA-256 of what they hold */
    private function __construct(private array $files)
    {
    }

    public static function in(string $folder): self
    {
        $files = [];
        $found = glob(rtrim($folder, '/').'/*');
        foreach ($found === false ? [] : $found as $file) {
            if (is_file($file) && is_readable($file) && filesize($file) <= self::MOST_BYTES) {
                $files[(string) hash_file('sha256', $file)] = $file;
            }
        }

        return new self($files);
    }

    public function jpeg(string $sha256): ?string
    {
        $bytes = isset($this->files[$sha256]) ? file_get_contents($this->files[$sha256]) : false;

        return is_string($bytes) && str_starts_with($bytes, self::JPEG) ? $bytes : null;
    }
}
