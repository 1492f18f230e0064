<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

final readonly class AccountController
{
    public function me(Request $request): JsonResponse
    {
        $user = $request->user();

        return response()->json(['user' => $user instanceof User ? $user->shown() : null, 'demo' => self::demoUser() !== null]);
    }

    public function register(Request $request): JsonResponse
    {
        $input = $request->validate([
            'name' => ['required', 'string', 'max:200'],
            'email' => ['required', 'string', 'email', 'max:200'],
            'password' => ['required', 'string', 'min:10', 'max:200'],
        ]);
        $email = Str::lower($input['email']);
        if (User::query()->where('email', $email)->exists()) {
            throw ValidationException::withMessages(['email' => 'There is an account with this address already; sign in instead.']);
        }
        $user = User::query()->create(['name' => $input['name'], 'email' => $email, 'password' => $input['password']]);

        return $this->enter($request, $user, 201);
    }

    public function signIn(Request $request): JsonResponse
    {
        $input = $request->validate(['email' => ['required', 'string', 'max:200'], 'password' => ['required', 'string', 'max:200']]);
        if (! Auth::validate(['email' => Str::lower($input['email']), 'password' => $input['password']])) {
            throw ValidationException::withMessages(['email' => 'Address and password do not belong together.']);
        }

        return $this->enter($request, User::query()->where('email', Str::lower($input['email']))->firstOrFail());
    }

    /** The demo's account, where the demo has been loaded. */
    public function demo(Request $request): JsonResponse
    {
        $user = self::demoUser();
        abort_if($user === null, 404, 'The demo is not loaded here.');

        return $this->enter($request, $user);
    }

    public function signOut(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->json(['user' => null, 'demo' => self::demoUser() !== null]);
    }

    public function update(Request $request): JsonResponse
    {
        $input = $request->validate(['units' => ['required', 'in:imperial,metric']]);
        $user = $request->user();
        assert($user instanceof User);
        $user->update($input);

        return response()->json(['user' => $user->shown(), 'demo' => self::demoUser() !== null]);
    }

    private function enter(Request $request, User $user, int $status = 200): JsonResponse
    {
        Auth::guard('web')->login($user);
        $request->session()->regenerate();

        return response()->json(['user' => $user->shown(), 'demo' => self::demoUser() !== null], $status);
    }

    private static function demoUser(): ?User
    {
        return User::query()->where('email', config()->string('chartula.demo.email'))->first();
    }
}
