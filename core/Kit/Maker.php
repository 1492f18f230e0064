<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;
use Closure;

/**
 * One way in which parts come about: what forbids it, and what it makes of what it is handed. A maker that is handed less than the
 * whole carcass is not asked again while that is as it was: the question is all that it was handed, and nobody writes it down.
 */
final readonly class Maker
{
    /**
     * @param  string  $name  unlike that of any other
     * @param  Closure(Carcass, Recall): Made  $make
     * @param  ?Closure(Carcass, Problems): void  $faults
     * @param  ?Closure(Carcass): Carcass  $sees  what it is handed of the whole
     */
    public function __construct(
        public string $name,
        private Closure $make,
        private ?Closure $faults = null,
        private ?Closure $sees = null,
    ) {
    }

    /** Says why it cannot be made, at its fields. */
    public function collectFaults(Carcass $carcass, Problems $problems): void
    {
        $this->faults?->__invoke($carcass, $problems);
    }

    public function made(Carcass $carcass, Recall $recall): Made
    {
        if ($this->sees === null) {
            return ($this->make)($carcass, $recall);
        }
        $handed = ($this->sees)($carcass);

        return $recall->of(Recall::question("made $this->name", ...$handed->content()), fn (): Made => ($this->make)($handed, $recall));
    }
}
