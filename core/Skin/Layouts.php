<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Bricks;
use Chartula\Core\Part\Pattern\Picture;
use Chartula\Core\Part\Pattern\Rows;
use Chartula\Core\Part\Pattern\Rubble;
use LogicException;

/** Who lays which pattern. */
final readonly class Layouts
{
    public static function of(FaceArt $art): Layout
    {
        $pattern = $art->pattern;

        return match (true) {
            $pattern instanceof Bricks => new BrickLayout($art, $pattern),
            $pattern instanceof Rows => new RowLayout($art, $pattern),
            $pattern instanceof Picture => new PictureLayout($pattern),
            $pattern instanceof Rubble => new RubbleLayout($art, $pattern),
            default => throw new LogicException('Nothing lays '.$pattern::class),
        };
    }
}
