<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RegisterRequest;
use App\Http\Requests\SignInRequest;
use App\Http\Requests\UnitsRequest;
use App\Http\Resources\AccountResource;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Who is signed in. */
final readonly class AccountController
{
    public function me(#[CurrentUser] ?User $user): AccountResource
    {
        return new AccountResource($user);
    }

    public function register(RegisterRequest $request): JsonResponse
    {
        if (User::query()->where('email', $request->email())->exists()) {
            throw self::isTaken();
        }
        try {
            $user = User::query()->create(['email' => $request->email()] + $request->validated());
        } catch (UniqueConstraintViolationException) {
            // Somebody registered the same address in the same moment.
            throw self::isTaken();
        }

        return $this->enter($request, $user)->response()->setStatusCode(201);
    }

    private static function isTaken(): ValidationException
    {
        return ValidationException::withMessages(['email' => 'There is an account with this address already; sign in instead.']);
    }

    public function signIn(SignInRequest $request): AccountResource
    {
        if (! Auth::validate(['email' => $request->email(), 'password' => $request->string('password')->value()])) {
            throw ValidationException::withMessages(['email' => 'Address and password do not belong together.']);
        }

        return $this->enter($request, User::query()->where('email', $request->email())->firstOrFail());
    }

    /** The demo's account, where the demo has been loaded. */
    public function demo(Request $request): AccountResource
    {
        return $this->enter($request, User::demo() ?? abort(404, 'The demo is not loaded here.'));
    }

    public function signOut(Request $request): AccountResource
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new AccountResource(null);
    }

    public function update(UnitsRequest $request, #[CurrentUser] User $user): AccountResource
    {
        $user->update($request->validated());

        return new AccountResource($user);
    }

    private function enter(Request $request, User $user): AccountResource
    {
        Auth::guard('web')->login($user);
        $request->session()->regenerate();

        return new AccountResource($user);
    }
}
