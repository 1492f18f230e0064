<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\SheetFurniture;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Sheets\Page;

/** Pictures side by side as long as there is room, then in a row below, then on another page. */
final class Rows
{
    private const BETWEEN_MM = 6.0;

    /** Over a picture. */
    private const TITLE_MM = 4.5;

    /** @var list<list<array{Picture, Vec2, float}>> pages of pictures, each with its lower left and its scale */
    private array $pages = [];

    private float $x;

    private float $y;

    private float $high = 0.0;

    private function __construct(private readonly Box2 $room)
    {
        [$this->x, $this->y] = [$room->x0, $room->y0 - 1.0];
    }

    /**
     * @param  list<Picture>  $pictures
     * @return list<callable(Drawing): void> what is drawn on each page
     */
    public static function of(array $pictures, Page $page): array
    {
        $self = new self($page->room());
        foreach ($pictures as $picture) {
            $self->place($picture);
        }

        return array_map(static fn (array $placed): callable => static function (Drawing $drawing) use ($placed): void {
            foreach ($placed as [$picture, $at, $scale]) {
                $over = new Vec2($at->x, $at->y + $picture->height($scale) + 1.2);
                $drawing->text(new Text($over, $picture->title, Picture::TITLE, bold: true, colour: SheetFurniture::INK));
                $picture->draw($drawing, $at, $scale);
            }
        }, $self->pages);
    }

    private function place(Picture $picture): void
    {
        $scale = $picture->scaleFor($this->room);
        [$width, $height] = [$picture->width($scale), $picture->height($scale) + self::TITLE_MM];
        if ($this->x + $width > $this->room->x1) {
            [$this->x, $this->y, $this->high] = [$this->room->x0, $this->y - $this->high - self::BETWEEN_MM, 0.0];
        }
        if ($this->y - $height < $this->room->y0) {
            $this->pages[] = [];
            [$this->x, $this->y, $this->high] = [$this->room->x0, $this->room->y1 - 1.0, 0.0];
        }
        $this->pages[count($this->pages) - 1][] = [$picture, new Vec2($this->x, $this->y - $height), $scale];
        $this->x += $width + self::BETWEEN_MM;
        $this->high = max($this->high, $height);
    }
}
