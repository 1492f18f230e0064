<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Glass;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\GlassArt;

/** What is printed on the glass of one opening. The opening's own frame, as it is where it recedes. docs/formulas.md#glass */
final readonly class GlassPrint
{
    /** Leads of real ones, and no finer than two dots of a printer. */
    private const LEAD_MM = 10.0;

    public const LEAST_MM = 0.085;

    public const MOST_LEADS = 400;

    private const USUAL = [Glass::FROSTED => '#e4eaea', Glass::PAINTED => '#5c6a5d', Glass::CURTAINS => '#e9dfc8'];

    private const LEAD = '#4a4f54';

    private const BARS = '#f4f1e8';

    /** So much of a light's width a curtain takes at its foot and at its top. */
    private const CURTAIN = [0.16, 0.3];

    /** @param  list<Ring>  $lights  what is seen through, before anything divides it */
    private function __construct(private Glass $glass, private array $lights, private float $ratio)
    {
    }

    /**
     * Null where nothing is.
     *
     * @param  list<Ring>  $lights  where anything is printed on them
     * @param  list<Ring>  $bars  that are printed
     */
    public static function of(Fitted $in, array $lights, array $bars): ?GlassArt
    {
        $style = $in->opening->opening->style;
        $shapes = $style->glass?->isPrinted() !== true ? [] : (new self($style->glass, $lights, $in->building->scale->ratio))->shapes();
        if ($bars !== []) {
            $shapes[] = [self::BARS, $bars];
        }
        $placed = [];
        foreach ($shapes as [$colour, $rings]) {
            $placed[] = [$colour, $in->placed($rings)];
        }

        return $placed === [] ? null : new GlassArt($placed, [0.0, $in->opening->shape->width]);
    }

    /** How many leads there would be in an opening so large. */
    public static function leads(Glass $glass, float $width, float $height): float
    {
        return $glass->leading === null && $glass->look !== Glass::STAINED ? 0.0 : $width / $glass->across->mm + $height / $glass->up->mm;
    }

    /** @return list<array{string, list<Ring>}> */
    private function shapes(): array
    {
        $colour = $this->glass->colour ?? self::USUAL[$this->glass->look] ?? '';
        $shapes = match ($this->glass->look) {
            Glass::CLEAR => [],
            Glass::CURTAINS => [[$colour, array_merge([], ...array_map($this->curtains(...), $this->lights))]],
            Glass::STAINED => array_merge([], ...array_map($this->stained()->in(...), $this->lights)),
            default => [[$colour, $this->lights]],
        };
        if ($this->glass->leading !== null) {
            $shapes[] = [self::LEAD, array_merge([], ...array_map($this->leading(...), $this->lights))];
        }

        return $shapes;
    }

    private function stained(): StainedPanes
    {
        $glass = $this->glass;

        return new StainedPanes(
            $glass->across->mm / $this->ratio, $glass->up->mm / $this->ratio, $glass->leading === 'lozenges', $glass->colour,
        );
    }

    /** @return list<Ring> drawn back to both sides */
    private function curtains(Ring $light): array
    {
        $box = $light->bounds();
        [$foot, $top] = [self::CURTAIN[0] * $box->width(), self::CURTAIN[1] * $box->width()];
        $way = new Vec2($top - $foot, $box->height());
        $hull = Hull::around($light->points);

        return self::rings([
            $hull->leftOf(new Vec2($box->x0 + $foot, $box->y0), $way),
            $hull->leftOf(new Vec2($box->x1 - $foot, $box->y0), new Vec2($way->x, -$way->y)),
        ]);
    }

    /** @return list<Ring> leads from the middle of a light to both sides */
    private function leading(Ring $light): array
    {
        $box = $light->bounds();
        [$a, $b] = [$this->glass->across->mm / $this->ratio, $this->glass->up->mm / $this->ratio];
        $leads = [];
        $across = (int) ceil($box->width() / $a);
        $up = (int) ceil($box->height() / $b);
        if ($this->glass->leading === 'squares') {
            for ($n = -$across; $n <= $across; $n++) {
                $leads[] = $this->lead($light, $box->centre()->plus(new Vec2($n * $a, 0.0)), new Vec2(0.0, 1.0));
            }
            for ($n = -$up; $n <= $up; $n++) {
                $leads[] = $this->lead($light, $box->centre()->plus(new Vec2(0.0, $n * $b)), new Vec2(1.0, 0.0));
            }
        } else {
            for ($n = -$across - $up; $n <= $across + $up; $n++) {
                foreach ([1.0, -1.0] as $way) {
                    $leads[] = $this->lead($light, $box->centre()->plus(new Vec2($n * $a, 0.0)), new Vec2($way * $a, $b));
                }
            }
        }

        return self::rings($leads);
    }

    private function lead(Ring $light, Vec2 $at, Vec2 $way): ?Hull
    {
        $half = max(self::LEAD_MM / $this->ratio, self::LEAST_MM) / 2.0;
        $left = (new Vec2(-$way->y, $way->x))->times($half / $way->length());

        return Hull::around($light->points)->leftOf($at->minus($left), $way)?->leftOf($at->plus($left), $way->times(-1.0));
    }

    /**
     * @param  list<?Hull>  $hulls
     * @return list<Ring>
     */
    private static function rings(array $hulls): array
    {
        $rings = [];
        foreach ($hulls as $hull) {
            array_push($rings, ...$hull !== null && count($hull->points) > 2 ? [new Ring($hull->points)] : []);
        }

        return $rings;
    }
}
