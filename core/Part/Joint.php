<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Vec3;

/**
 * Where two parts meet, as derived; the dry fit finds contacts for itself and compares. Model millimetres.
 *
 * butt: a's edge strip lies in b's face. seat: a's edge, as a strip or by its nearer line only (`touch`), lies in b's
 * face. mitre: two edges share their inside line, `gap_mm` open on the outside; bevelled, both. lap: two faces lie on each other over
 * `contact_mm2`. clearance: a's edge, or its whole outline, keeps `gap_mm` from b.
 */
final readonly class Joint
{
    /**
     * @param  list<Vec3>  $contact  ends of the line of contact
     * @param  'strip'|'line'|'outside'|null  $touch  of a mitre, outside: the outer arrises meet and the inner ones part; strip: both meet
     */
    public function __construct(
        public JointKind $kind,
        public Ref $a,
        public Ref $b,
        public array $contact = [],
        public float $contact_mm = 0.0,
        public float $gap_mm = 0.0,
        public float $free_mm = 0.0,
        public string $why = '',
        public ?string $coveredBy = null,
        public ?string $touch = null,
        public ?float $contact_mm2 = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(string $id): array
    {
        $array = [
            'id' => $id, 'kind' => $this->kind->value, 'a' => $this->a->toArray(), 'b' => $this->b->toArray(),
            'contact' => array_map(static fn (Vec3 $p): array => $p->toArray(), $this->contact),
            'contact_mm' => round($this->contact_mm, 4), 'gap_mm' => round($this->gap_mm, 4), 'free_mm' => round($this->free_mm, 4),
            'why' => $this->why, 'covered_by' => $this->coveredBy,
        ];
        if ($this->touch !== null) {
            $array['touch'] = $this->touch;
        }
        if ($this->contact_mm2 !== null) {
            $array['contact_mm2'] = round($this->contact_mm2, 3);
        }

        return $array;
    }
}
