<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Feature\Kind;
use Chartula\Core\Form\Claims\Site;

/** A kind of thing that has something to say of one that can be made: what should be thought about, and what is not as it is described. */
interface Remarks extends Kind
{
    /** @return array<string, string> sentences, by the codes of their checks */
    public function remarks(Site $site): array;
}
