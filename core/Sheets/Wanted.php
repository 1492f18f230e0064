<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Building\Block;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\Prints;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Problem\InvalidInput;

/** What is wanted on sheets, and how long is looked for fewer of them. */
final readonly class Wanted
{
    /**
     * @param  ?list<string>  $only  pieces by id and copy (`main.front.core#0`); all where it is null
     * @param  string  $words  what that is, for the heading
     */
    public function __construct(
        public Effort $effort = Effort::Quick,
        public ?array $only = null,
        public string $words = '',
        public Prints $prints = new Prints,
    ) {
    }

    /**
     * The pieces of some blocks and walls alone.
     *
     * @param  non-empty-list<string>  $of  blocks (`main`) and walls with the slopes over them (`main.front`)
     *
     * @throws InvalidInput sheets.no-such at of.N
     */
    public function of(Kit $kit, array $of): self
    {
        $words = array_map(static fn (string $one, int $i): string => self::nameOf($kit, $one, $i), $of, array_keys($of));
        $only = [];
        foreach ($kit->parts as $part) {
            $name = $part->part->of;
            $isWanted = $name->block !== null
                && (in_array($name->block, $of, true) || in_array("$name->block.$name->edge", $of, true));
            for ($copy = 0; $isWanted && $copy < $part->part->qty(); $copy++) {
                $only[] = $part->part->id.'#'.$copy;
            }
        }

        return new self($this->effort, $only, implode(' and ', $words), $this->prints);
    }

    /** What is cut from card alone, in outline: to be tried in packet card before anything is cut for good. */
    public function trial(Kit $kit): self
    {
        $only = [];
        foreach ($kit->parts as $part) {
            for ($copy = 0; $part->part->stock->takesTemplate() && $copy < $part->part->qty(); $copy++) {
                $only[] = $part->part->id.'#'.$copy;
            }
        }

        return new self($this->effort, $only, 'trial in packet card', $this->prints);
    }

    /** @throws InvalidInput */
    private static function nameOf(Kit $kit, string $of, int $i): string
    {
        $blocks = $kit->modelled->building->blocks;
        foreach ($blocks as $block) {
            foreach (['', ...$block->footprint->edges] as $edge) {
                if ($of === ($edge === '' ? $block->id : "$block->id.$edge")) {
                    return trim("$block->name $edge");
                }
            }
        }

        throw InvalidInput::at("of.$i", 'sheets.no-such', [
            'given' => $of, 'known' => implode(', ', array_map(static fn (Block $b): string => $b->id, $blocks)),
        ]);
    }

    public function quick(): self
    {
        return new self(Effort::Quick, $this->only, $this->words, $this->prints);
    }

    /** @return ?array<string, true> pieces by id and copy */
    public function keys(): ?array
    {
        return $this->only === null ? null : array_fill_keys($this->only, true);
    }
}
