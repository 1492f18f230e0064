<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Building;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;

/** All parts of a chimney, with its breast where it has one, and how they hold. docs/formulas.md#chimneys */
final readonly class StackMaker
{
    public function __construct(private Stack $stack, private Building $building)
    {
    }

    public function make(): PartSet
    {
        $cards = (new StackCards($this->stack))->make();
        $paper = (new StackPapers($this->stack, $this->building, Round::stack($this->stack)))->make($cards->parts);
        $rings = (new StackRings($this->stack, $this->building, $paper->parts[0]))->make();
        $papers = array_column(array_map(static fn (Part $p): array => [$p->id, $p], [...$paper->parts, ...$rings->parts]), 1, 0);

        return PartSet::joined([
            $cards, $paper, ...$this->below($cards->parts, $paper->parts[0]), $rings,
            (new Flashings($this->stack))->make($papers), (new Cap($this->stack))->paper(), (new Pots($this->stack))->make(),
        ]);
    }

    /**
     * @param  list<Part>  $cards
     * @return list<PartSet> what is round its breast: papers and set-offs
     */
    private function below(array $cards, Part $paper): array
    {
        $breast = $this->stack->breast;
        if ($breast === null) {
            return [];
        }
        $papers = (new BreastPapers($this->stack, $breast, $this->building))->make($cards);

        return [$papers, (new SetOffs($this->stack, $breast, $this->building, $papers->parts[0] ?? $paper))->make()];
    }
}
