<?php

declare(strict_types=1);

namespace Chartula\Core\Part\Pattern;

use Chartula\Core\Building\CopiesWith;

/** A pattern that has a `palette` for its units, a `ground` between them and a `joint` so wide. */
trait InColours
{
    use CopiesWith;

    public function palette(): Palette
    {
        return $this->palette;
    }

    public function inPalette(Palette $palette, ?string $ground): self
    {
        return $this->with(
            palette: new Palette($palette->colours, $this->palette->spread, $palette->accents), ground: $ground ?? $this->ground,
        );
    }

    public function ground(): string
    {
        return $this->ground;
    }

    public function joint(): float
    {
        return $this->joint;
    }

    /** @return array<string, mixed> */
    public function colours(): array
    {
        return ['colours' => [...$this->palette->all(), $this->ground]]
            + (count($this->palette->colours) === 1 ? [] : ['shares' => $this->palette->toArray()])
            + ($this->palette->accents === null ? [] : ['accents' => $this->palette->accents->toArray()]);
    }
}
