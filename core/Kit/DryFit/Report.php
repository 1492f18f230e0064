<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

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
    ) {
        $this->joints = count($measures);
    }

    public function goesTogether(): bool
    {
        return $this->findings === [];
    }

    /** @return array{ok: bool, joints: int, pieces: int, findings: list<array{code: string, at: string, text: string, mm: float}>} */
    public function toArray(): array
    {
        return [
            'ok' => $this->goesTogether(), 'joints' => $this->joints, 'pieces' => $this->pieces,
            'findings' => array_map(static fn (Finding $f): array => $f->toArray(), $this->findings),
        ];
    }
}
