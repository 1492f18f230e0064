<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Stock\Stock;

/** Puts bands on pages: the highest first, each on the first page of its medium that has room. docs/formulas.md#packing */
final class Pages
{
    /** Bands of this medium lie on any page. */
    public const ANY = 'any';

    /** @var list<array{string, float, non-empty-list<int>}> medium, height that is taken, and which bands */
    private array $pages = [];

    /** @param  list<Band>  $bands */
    private function __construct(private readonly array $bands, private readonly Page $page)
    {
    }

    /** Labels for any card share pages; what is printed itself lies with its like; where blocks are kept apart, each has its own pages. */
    public static function medium(Stock $stock, string $block): string
    {
        return match (true) {
            $stock->takesTemplate() => "label $block",
            $stock->kind === 'paper' => "$stock->id $block",
            default => $block === '' ? self::ANY : "label $block",
        };
    }

    /**
     * @param  list<Band>  $bands  in the order in which they are wanted
     * @param  list<int>  $taken  numbers that are not given again
     * @return list<Sheet>
     */
    public static function of(array $bands, Page $page, array $taken = []): array
    {
        $self = new self($bands, $page);
        $order = array_keys($bands);
        usort($order, static fn (int $a, int $b): int =>
            [$bands[$a]->medium === self::ANY, $bands[$b]->height(), $a] <=> [$bands[$b]->medium === self::ANY, $bands[$a]->height(), $b]);
        foreach ($order as $i) {
            $self->put($i);
        }
        $pages = array_map(static function (array $page): array {
            sort($page[2]);

            return $page[2];
        }, $self->pages);
        usort($pages, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $sheets = [];
        $number = 0;
        foreach ($pages as $on) {
            do {
                $number++;
            } while (in_array($number, $taken, true));
            $sheets[] = new Sheet($number, $page, $self->frames($on));
        }

        return $sheets;
    }

    private function put(int $i): void
    {
        $band = $this->bands[$i];
        $needs = $band->height() + Frame::TITLE_MM;
        foreach ($this->pages as $k => [$medium, $taken]) {
            $mayShare = $medium === $band->medium || $band->medium === self::ANY;
            if ($mayShare && $taken + $needs <= $this->page->roomHeight() + Tolerance::FIGURE) {
                $this->pages[$k][1] += $needs;
                $this->pages[$k][2][] = $i;

                return;
            }
        }
        $this->pages[] = [$band->medium, $needs, [$i]];
    }

    /**
     * @param  non-empty-list<int>  $on
     * @return non-empty-list<Frame>
     */
    private function frames(array $on): array
    {
        $title = count($on) > 1 ? Frame::TITLE_MM : 0.0;
        $y = $this->page->roomY() + $this->page->roomHeight();
        $frames = [];
        foreach ($on as $i) {
            $y -= $title + $this->bands[$i]->height();
            $frames[] = $this->bands[$i]->frame($this->page, $y);
        }

        return $frames;
    }
}
