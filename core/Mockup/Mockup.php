<?php

declare(strict_types=1);

namespace Chartula\Core\Mockup;

use Chartula\Core\Form\Form;
use Chartula\Core\Problem\InvalidInput;

/** The building as it stands in thin card or paper, without thickness: nets to cut, fold and stick, at full size or smaller. */
final readonly class Mockup
{
    public const SIZES = [100, 75, 50, 33, 25];

    /** @param  list<Net>  $nets */
    private function __construct(
        public int $percent,
        public array $nets,
    ) {
    }

    /**
     * @param  int  $percent  of the model's size
     * @param  float  $width  of the room on a page
     *
     * @throws InvalidInput mockup.too-large, with a size at which everything fits
     */
    public static function of(Form $form, int $percent, float $width, float $height): self
    {
        $room = [$width - 2.0 * Tabs::deepest(), $height - 2.0 * Tabs::deepest()];
        $nets = [];
        $number = 0;
        foreach (Faces::of($form) as [$name, $faces]) {
            foreach ($faces as $face) {
                $most = self::fits($face, $room[0], $room[1]);
                if ($percent > $most) {
                    throw InvalidInput::at('size', 'mockup.too-large', ['given' => $percent, 'what' => $name, 'most' => $most]);
                }
            }
            array_push(
                $nets,
                ...(
                    new Unfolding(array_map(static fn (Face $f): Face => $f->scaled($percent / 100.0), $faces), $room[0], $room[1])
                )->nets(ucfirst($name), $number),
            );
        }

        return new self($percent, $nets);
    }

    /** The per cent at which a face just fits the room, one way or the other. */
    private static function fits(Face $face, float $width, float $height): int
    {
        $box = $face->ring->bounds();

        return (int) floor(
            100.0 * max(min($width / $box->width(), $height / $box->height()), min($height / $box->width(), $width / $box->height())),
        );
    }
}
