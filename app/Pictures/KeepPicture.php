<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Picture;
use App\Models\Revision;
use App\Models\User;
use Chartula\Core\Problem\InvalidInput;
use GdImage;

/** Takes in a picture that somebody sends. It is a stranger's: sniffed, bounded before it is unpacked, and written anew. */
final readonly class KeepPicture
{
    public const MOST_BYTES = 16 * 1024 * 1024;

    /** Unpacked it takes four bytes for each. */
    private const MOST_PIXELS = 16_000_000;

    private const LEAST_SIDE = 8;

    private const QUALITY = 90;

    private const SMALL_QUALITY = 80;

    /** Of a screen. */
    private const SMALL_SIDE = 900;

    private const MOST_OF_ONE_USER = 96 * 1024 * 1024;

    /** What a file says that says nothing of it. */
    private const NO_RESOLUTION = 96;

    private const USUAL_DOTS_PER_INCH = 300;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /**
     * @return array{sha256: string, pixels: array{int, int}, mm_per_pixel: array{float, float}, tone: string} what a document says of it
     *
     * @throws InvalidInput where it is no picture that can be kept
     */
    public function execute(User $user, string $bytes): array
    {
        $image = self::upright(self::decoded($bytes), $bytes);
        $resolution = imageresolution($image);
        $jpeg = self::jpeg($image, self::QUALITY);
        $this->keep($user, $jpeg, $image);
        [$across, $up] = is_array($resolution) ? $resolution : [0, 0];
        $dots = static fn (mixed $d): int => ! is_int($d) || $d <= 0 || $d === self::NO_RESOLUTION ? self::USUAL_DOTS_PER_INCH : $d;

        return [
            'sha256' => hash('sha256', $jpeg), 'pixels' => [imagesx($image), imagesy($image)],
            'mm_per_pixel' => [round(25.4 / $dots($across), 6), round(25.4 / $dots($up), 6)], 'tone' => self::tone($image),
        ];
    }

    /**
     * One that was kept before, out of an archive: as it is, so that documents go on naming it.
     *
     * @throws InvalidInput
     */
    public function adopt(User $user, string $sha256, string $bytes): void
    {
        $size = @getimagesizefromstring($bytes);
        if (hash('sha256', $bytes) !== $sha256 || $size === false || $size[2] !== IMAGETYPE_JPEG) {
            throw InvalidInput::at("papers/$sha256.jpg", 'picture.other');
        }
        $this->keep($user, $bytes, self::decoded($bytes));
    }

    private static function decoded(string $bytes): GdImage
    {
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], self::TYPES, true)) {
            throw InvalidInput::at('picture', 'picture.none');
        }
        [$w, $h] = $size;
        if ($w * $h > self::MOST_PIXELS) {
            throw InvalidInput::at('picture', 'picture.too-large', [
                'given' => round($w * $h / 1e6, 1), 'limit' => (int) (self::MOST_PIXELS / 1e6),
            ]);
        }
        if (min($w, $h) < self::LEAST_SIDE) {
            throw InvalidInput::at('picture', 'picture.too-small', ['given' => "$w × $h", 'least' => self::LEAST_SIDE]);
        }
        $image = @imagecreatefromstring($bytes);

        return $image === false ? throw InvalidInput::at('picture', 'picture.broken') : $image;
    }

    /** As it was held when it was taken. */
    private static function upright(GdImage $image, string $bytes): GdImage
    {
        $exif = str_starts_with($bytes, "\xFF\xD8") ? @exif_read_data('data://image/jpeg;base64,'.base64_encode($bytes)) : false;
        $turn = match (is_array($exif) ? $exif['Orientation'] ?? 1 : 1) {
            3 => 180, 6 => 270, 8 => 90, default => 0
        };
        $turned = $turn === 0 ? $image : imagerotate($image, $turn, 0);

        return $turned === false ? $image : $turned;
    }

    /** On white, where it lets anything through. */
    private static function jpeg(GdImage $image, int $quality): string
    {
        $flat = imagecreatetruecolor(max(1, imagesx($image)), max(1, imagesy($image)));
        imagefill($flat, 0, 0, (int) imagecolorallocate($flat, 255, 255, 255));
        imagecopy($flat, $image, 0, 0, 0, 0, imagesx($image), imagesy($image));
        ob_start();
        imagejpeg($flat, null, $quality);

        return (string) ob_get_clean();
    }

    private static function small(GdImage $image): string
    {
        $factor = min(1.0, self::SMALL_SIDE / max(imagesx($image), imagesy($image)));
        [$w, $h] = [max(1, (int) round(imagesx($image) * $factor)), max(1, (int) round(imagesy($image) * $factor))];
        $small = imagecreatetruecolor($w, $h);
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $image, 0, 0, 0, 0, $w, $h, imagesx($image), imagesy($image));

        return self::jpeg($small, self::SMALL_QUALITY);
    }

    private static function tone(GdImage $image): string
    {
        $one = imagecreatetruecolor(1, 1);
        imagecopyresampled($one, $image, 0, 0, 0, 0, 1, 1, imagesx($image), imagesy($image));

        return sprintf('#%06x', (int) imagecolorat($one, 0, 0) & 0xFFFFFF);
    }

    private function keep(User $user, string $jpeg, GdImage $image): void
    {
        $sha256 = hash('sha256', $jpeg);
        $own = Picture::query()->where('user_id', $user->id);
        if ((clone $own)->where('sha256', $sha256)->exists()) {
            return;
        }
        if ((int) (clone $own)->sum('bytes') + strlen($jpeg) > self::MOST_OF_ONE_USER) {
            self::letGo($user);
        }
        if ((int) (clone $own)->sum('bytes') + strlen($jpeg) > self::MOST_OF_ONE_USER) {
            throw InvalidInput::at('picture', 'picture.quota', ['limit' => intdiv(self::MOST_OF_ONE_USER, 1024 * 1024)]);
        }
        Picture::query()->insertOrIgnore([
            'user_id' => $user->id, 'sha256' => $sha256, 'bytes' => strlen($jpeg), 'jpeg' => base64_encode($jpeg),
            'small' => base64_encode(self::small($image)), 'created_at' => now(),
        ]);
    }

    /** Of those that no revision of any of somebody's buildings names, and that were not sent a moment ago: one may be about to. */
    private static function letGo(User $user): void
    {
        $texts = Revision::query()->whereHas('building.project', static fn ($q) => $q->where('user_id', $user->id));
        $old = Picture::query()->where('user_id', $user->id)->where('created_at', '<', now()->subHour());
        foreach ($old->pluck('sha256') as $sha256) {
            assert(is_string($sha256));
            if (! (clone $texts)->whereLike('text', "%$sha256%")->exists()) {
                Picture::query()->where('user_id', $user->id)->where('sha256', $sha256)->delete();
            }
        }
    }
}
