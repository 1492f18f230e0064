<?php

declare(strict_types=1);

namespace Chartula\Core\Stock;

/** What is scribed or pressed into a sheet: lines at one distance. Model millimetres. */
final readonly class Texture
{
    /** What it shows, as a document says it and as a person does. */
    public const KINDS = [
        'clapboard' => 'boards that lap', 'boards' => 'boards', 'bricks' => 'courses of bricks', 'stones' => 'courses of stones',
        'tiles' => 'rows of tiles', 'waves' => 'waves',
    ];

    /** Finer lines nobody sees. */
    public const LEAST_MM = 0.2;

    /**
     * @param  key-of<self::KINDS>  $of
     * @param  float  $pitch_mm  from line to line
     * @param  bool  $isUpright  whether its lines go up the wall or the slope
     */
    public function __construct(public string $of, public float $pitch_mm, public bool $isUpright)
    {
    }

    public function words(): string
    {
        return self::KINDS[$this->of];
    }

    /** Whether it matters which way up it goes on. */
    public function laps(): bool
    {
        return in_array($this->of, ['clapboard', 'tiles'], true);
    }
}
