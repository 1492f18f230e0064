<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Address and password of somebody who has an account. */
final class SignInRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:200'],
            'password' => ['required', 'string', 'max:200'],
        ];
    }

    public function email(): string
    {
        return $this->string('email')->lower()->value();
    }
}
