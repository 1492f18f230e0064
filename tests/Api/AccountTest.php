<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\User;
use Database\Seeders\MarrowmereSeeder;

final class AccountTest extends ApiTestCase
{
    public function testRegisterSignOutAndInAgain(): void
    {
        $this->getJson('/api/me')->assertOk()->assertJson(['user' => null, 'demo' => false]);
        $answer = $this->postJson(
            '/api/register',
            ['name' => 'Ada Fenn', 'email' => 'Ada@marrowmere.example', 'password' => 'a long password'],
        );
        $answer->assertStatus(201)->assertJsonPath('user.email', 'ada@marrowmere.example');
        self::assertMatches('api.schema.json#/$defs/account', self::decoded($answer));
        self::assertNotSame('a long password', User::query()->firstOrFail()->password, 'passwords are hashed');
        $this->postJson('/api/sign-out')->assertOk()->assertJsonPath('user', null);
        $this->getJson('/api/projects')->assertUnauthorized();
        $this->postJson('/api/sign-in', ['email' => 'ada@marrowmere.example', 'password' => 'another password'])
            ->assertStatus(422)
            ->assertJsonPath('errors.email.0', 'Address and password do not belong together.');
        $this->postJson('/api/sign-in', ['email' => 'ADA@marrowmere.example', 'password' => 'a long password'])->assertOk();
        $this->getJson('/api/projects')->assertOk()->assertJson(['projects' => []]);
    }

    public function testRefusesWhatIsNoAccount(): void
    {
        $this->person();
        $this->postJson('/api/register', ['name' => '', 'email' => 'no address', 'password' => 'short'])
            ->assertStatus(422)
            ->assertJsonPath('errors.name.0', 'Please give the name.')
            ->assertJsonPath('errors.email.0', 'This is no e-mail address; one looks like name@mill.example.')
            ->assertJsonPath('errors.password.0', 'This is too short: the password needs 10 letters.');
        $this->postJson('/api/register', ['name' => 'Ada', 'email' => 'Ada-Fenn@marrowmere.example', 'password' => 'a long password'])
            ->assertStatus(422)
            ->assertJsonValidationErrors(['email']);
    }

    public function testTheDemoIsOpenWhereItIsLoaded(): void
    {
        $this->postJson('/api/demo')->assertNotFound();
        $this->app->make(MarrowmereSeeder::class)->run();
        $this->postJson('/api/demo')->assertOk()->assertJsonPath('user.name', 'Demo visitor');
        $this->getJson('/api/projects')
            ->assertJsonPath('projects.0.name', 'Marrowmere branch')
            ->assertJsonPath('projects.0.buildings.*.name', [
                'Boat shed', 'Harbour office', 'Marrowmere Creamery', 'Marrowmere halt', 'Mission room', 'Ropewalk Row', 'Weigh office',
            ]);
    }

    public function testSigningInIsLimited(): void
    {
        config(['chartula.sign_in_limit' => 3]);
        for ($i = 0; $i < 3; $i++) {
            $this->postJson('/api/sign-in', ['email' => 'nobody@marrowmere.example', 'password' => 'guess'])->assertStatus(422);
        }
        $this->postJson('/api/sign-in', ['email' => 'nobody@marrowmere.example', 'password' => 'guess'])->assertStatus(429);
    }

    public function testUnitsAreThePersonsOwn(): void
    {
        $user = $this->person();
        $this->actingAs($user)->patchJson('/api/me', ['units' => 'metric'])->assertOk()->assertJsonPath('user.units', 'metric');
        $this->patchJson('/api/me', ['units' => 'cubits'])->assertStatus(422);
    }

    public function testEveryAnswerForbidsWhatComesFromElsewhere(): void
    {
        foreach (['/api/me', '/api/nothing'] as $url) {
            $answer = $this->getJson($url);
            self::assertStringStartsWith("default-src 'self'", (string) $answer->headers->get('Content-Security-Policy'));
            self::assertSame('nosniff', $answer->headers->get('X-Content-Type-Options'));
        }
    }
}
