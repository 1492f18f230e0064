<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Building\Treatment;

/** How much of one face of the building shows, from the best place of the eye. */
final readonly class SeenFace
{
    /** A face of which less than this share shows, or which is seen more nearly edge-on than that, needs no detail. */
    private const LITTLE = 0.05;

    private const GRAZING_DEG = 8.0;

    /**
     * @param  'wall'|'roof'  $kind
     * @param  string  $edge  the wall's or slope's own name
     * @param  string  $name  what it is called, with its block
     * @param  string  $path  of the wall in the document
     * @param  float  $share  of the face that shows
     * @param  float  $degrees  between the line of sight and the face, where it shows best
     * @param  Treatment  $treat  how the wall is treated now
     */
    public function __construct(
        public string $kind,
        public string $key,
        public string $edge,
        public string $name,
        public string $path,
        public float $share,
        public float $degrees,
        public Treatment $treat,
    ) {
    }

    public function wants(): Treatment
    {
        return match (true) {
            $this->share <= 0.0 => Treatment::Omit,
            $this->share < self::LITTLE || $this->degrees < self::GRAZING_DEG => Treatment::Plain,
            default => Treatment::Full,
        };
    }

    /**
     * @return array{kind: string, key: string, edge: string, name: string, path: string, share: float, degrees: float, treat: string,
     *     wants: string}
     */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind, 'key' => $this->key, 'edge' => $this->edge, 'name' => $this->name, 'path' => $this->path,
            'share' => round($this->share, 4), 'degrees' => round($this->degrees, 2), 'treat' => $this->treat->value,
            'wants' => $this->wants()->value,
        ];
    }
}
