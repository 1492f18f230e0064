<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Problem\Check;

/** What the dry fit found, worst first. */
final readonly class Report
{
    public int $joints;

    /**
     * @param  list<Finding>  $findings
     * @param  list<JointMeasure>  $measures  every joint, worst first
     * @param  list<FreeEdge>  $free  every edge of the structure that is in no joint
     * @param  list<Excused>  $excused  what of the outside no card fills and something else closes
     */
    public function __construct(
        public array $findings,
        public int $pieces,
        public array $measures,
        public array $free,
        public array $excused,
        private PlainWords $words,
    ) {
        $this->joints = count($measures);
    }

    public function goesTogether(): bool
    {
        return $this->findings === [];
    }

    /** What of the outside no card fills and something else closes, in all; null where card fills everything. */
    public function closedBehind(): ?Check
    {
        if ($this->excused === []) {
            return null;
        }
        $mm2 = array_sum(array_map(static fn (Excused $e): float => $e->mm2, $this->excused));
        $widest = max(array_map(static fn (Excused $e): float => $e->widest, $this->excused));

        return new Check('outside.closed-behind', Check::NOTE, '', sprintf(
            '%.0f mm² of the outside, in %s, no card fills: the board behind it, or the paper over it, closes it. Cards cut square leave that '
                .'where slopes meet in a valley, and at corners that are not square.',
            ceil($mm2),
            count($this->excused) === 1 ? 'one place' : count($this->excused).' places',
        ), $widest);
    }

    /**
     * In plain words.
     *
     * @return array{
     *     ok: bool, joints: int, pieces: int, findings: list<array{code: string, at: string, text: string, mm: float}>, advice: ?string,
     * }
     */
    public function toArray(): array
    {
        return [
            'ok' => $this->goesTogether(), 'joints' => $this->joints, 'pieces' => $this->pieces,
            'findings' => array_map(
                fn (Finding $f): array => [...$f->toArray(), 'text' => $this->words->said($f->text)],
                $this->findings,
            ),
            'advice' => $this->goesTogether() ? null : $this->words->advice(),
        ];
    }
}
