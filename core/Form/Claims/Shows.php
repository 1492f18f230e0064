<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Feature\Kind;

/** A kind that is large enough to be drawn where a whole side of the building is. */
interface Shows extends Kind
{
    /** @return list<Seen> its faces, as far as they stand over roofs */
    public function seen(Site $site): array;
}
