<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A change that is saved, with the id that its sender gave it. */
final class SaveRevisionRequest extends ChangeRequest
{
    public function rules(): array
    {
        return parent::rules() + ['client_id' => ['required', 'uuid'], 'even_fixed' => ['sometimes', 'boolean']];
    }

    public function clientId(): string
    {
        return $this->string('client_id')->value();
    }

    /** Whether parts that are fixed may go stale. */
    public function evenFixed(): bool
    {
        return $this->boolean('even_fixed');
    }
}
