<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Style;
use Chartula\Core\Measure\Scale;

/** The shapes of the openings of one building: those that are of one size share theirs. */
final class OpeningShapes
{
    /** @var array<string, OpeningShape> by real width, height and head: low relief makes one of a kind narrower */
    private array $shapes = [];

    public function __construct(public readonly Scale $scale)
    {
    }

    public function of(Style $style): OpeningShape
    {
        $rise = $style->riseMm();

        return $this->shapes["{$style->w->mm} {$style->h->mm} {$style->head->value} $rise"] ??= OpeningShape::of(
            $this->scale->modelMm($style->w),
            $this->scale->modelMm($style->h),
            $rise === null ? null : $rise / $this->scale->ratio,
            $style->head,
        );
    }
}
