<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

/** Names a part, and says of what it is a part, so that nobody has to take its id apart. */
final readonly class PartName
{
    /**
     * @param  ?string  $block  whose part it is; none for the ground
     * @param  ?string  $edge  the wall or slope that it belongs to
     * @param  string  $layer  which of the things there it is: a layer's id, or paper, frame, leaf, glazing, floor, strip …
     * @param  ?string  $opening  the opening that it fills, or round which it stands
     * @param  ?string  $feature  the thing that it is of, where that says itself where it stands
     */
    public function __construct(
        public string $id,
        public ?string $block,
        public ?string $edge,
        public string $layer,
        public ?string $opening = null,
        public ?string $feature = null,
    ) {
    }

    /** The piece of wall or slope that it is a layer of: what ids of its layers have in common. */
    public function surface(): string
    {
        return substr($this->id, 0, (int) strrpos($this->id, '.'));
    }

    /** @return array{block: ?string, edge: ?string, layer: string, opening: ?string, feature?: string} */
    public function toArray(): array
    {
        return ['block' => $this->block, 'edge' => $this->edge, 'layer' => $this->layer, 'opening' => $this->opening]
            + ($this->feature === null ? [] : ['feature' => $this->feature]);
    }
}
