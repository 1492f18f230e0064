<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Kind;

/** A kind of thing that takes something of the faces of walls at a place of its own. */
interface Takes extends Kind
{
    /** @return list<Claim> each on one of the faces of its site; none where it does not go there */
    public function takes(Feature $feature, Site $site): array;

    /** The code of the fault for which one cannot be there at all; null where it can. */
    public function objection(Feature $feature, Site $site): ?string;
}
