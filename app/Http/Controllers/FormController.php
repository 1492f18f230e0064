<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Chartula\Core\Building\Schema\DocumentFields;
use Illuminate\Http\JsonResponse;

/** The forms of all that is described by fields, by the name of their set. */
final readonly class FormController
{
    public function __invoke(): JsonResponse
    {
        $forms = [];
        foreach (DocumentFields::places() as $place) {
            $forms[$place->set->name] = $place->set->form();
        }

        return response()->json(['forms' => $forms]);
    }
}
