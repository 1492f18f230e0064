<?php

declare(strict_types=1);

namespace Tests\Support;

use Chartula\Core\Drawing\Pictures;

/** A picture of courses as somebody might have scanned it, made here: a dark bed at the foot of each, and a dark joint at its left. */
final readonly class OnePicture implements Pictures
{
    public string $sha256;

    /** @param  string  $jpeg  its file */
    private function __construct(private string $jpeg)
    {
        $this->sha256 = hash('sha256', $jpeg);
    }

    /**
     * @param  int  $course  how many pixels a course is high
     * @param  int  $unit  how many pixels a unit is long
     */
    public static function of(int $width, int $height, int $course, int $unit): self
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        imagefill($image, 0, 0, 0xF0F0F0);
        for ($y = $height; $y > 0; $y -= $course) {
            imagefilledrectangle($image, 0, $y - intdiv($course, 3), $width - 1, $y - 1, 0x202020);
        }
        for ($x = 0; $x < $width; $x += $unit) {
            imagefilledrectangle($image, $x, 0, $x + intdiv($unit, 4) - 1, $height - 1, 0x202020);
        }
        ob_start();
        imagejpeg($image, null, 95);

        return new self((string) ob_get_clean());
    }

    public function jpeg(string $sha256): ?string
    {
        return $sha256 === $this->sha256 ? $this->jpeg : null;
    }

    /**
     * What a document says of it.
     *
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    public function said(array $more = []): array
    {
        $size = getimagesizefromstring($this->jpeg);

        return [
            'id' => 'scan', 'name' => 'Old wall', 'sha256' => $this->sha256, 'pixels' => [$size[0] ?? 1, $size[1] ?? 1],
            'mm_per_pixel' => [0.05, 0.05], 'licence' => 'made here', ...$more,
        ];
    }
}
