<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Kind;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Part\PartSet;

/** A kind of thing that is made of parts of its own, beside what is raised of its claims. */
interface Makes extends Kind
{
    /** Parts where the place is, and joints between them and to what they stand on. */
    public function made(Site $site, Building $building): PartSet;
}
