<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use RuntimeException;

/** A rasterised page: where it is dark along a row or a column, in millimetres from the upper left. */
final readonly class GreyPage
{
    private const DARK = 150;

    private int $width;

    private int $height;

    private string $pixels;

    public function __construct(
        string $pgm,
        private float $dots,
    ) {
        if (preg_match('/^P5\s+(\d+)\s+(\d+)\s+255\s/', $pgm, $m) !== 1) {
            throw new RuntimeException('No grey picture');
        }
        $this->width = (int) $m[1];
        $this->height = (int) $m[2];
        $this->pixels = substr($pgm, strlen($m[0]));
    }

    public static function ofPng(string $png, float $dots): self
    {
        $picture = imagecreatefromstring($png);
        if ($picture === false) {
            throw new RuntimeException('No picture');
        }
        [$w, $h] = [imagesx($picture), imagesy($picture)];
        $pixels = '';
        for ($y = 0; $y < $h; $y++) {
            for ($x = 0; $x < $w; $x++) {
                $pixels .= chr((imagecolorat($picture, $x, $y) >> 8) & 255);
            }
        }

        return new self("P5\n$w $h\n255\n$pixels", $dots);
    }

    /** @return list<float> */
    public function row(float $mm): array
    {
        $row = (int) round($mm * $this->dots);

        return $this->dark($this->width, fn (int $i): int => $row * $this->width + $i);
    }

    /** @return list<float> */
    public function column(float $mm): array
    {
        $column = (int) round($mm * $this->dots);

        return $this->dark($this->height, fn (int $i): int => $i * $this->width + $column);
    }

    /**
     * @param  callable(int): int  $at
     * @return list<float>
     */
    private function dark(int $count, callable $at): array
    {
        $dark = [];
        for ($i = 0; $i < $count; $i++) {
            if (ord($this->pixels[$at($i)]) < self::DARK) {
                $dark[] = ($i + 0.5) / $this->dots;
            }
        }

        return $dark;
    }
}
