<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Kind;

/** A kind of thing that stands round openings. */
interface Dresses extends Kind
{
    /** @return list<Claim> what one takes of the wall round an opening; none where it does not go there */
    public function claims(Feature $feature, DressedOpening $at): array;

    /** The code of the fault for which one cannot be there at all; null where it can. */
    public function refusal(Feature $feature, DressedOpening $at): ?string;
}
