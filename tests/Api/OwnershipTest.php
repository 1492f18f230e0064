<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Building;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Support\Str;

/** From the list of routes itself, so that a new route that nobody thought of fails. */
final class OwnershipTest extends ApiTestCase
{
    /** Routes for everybody: they show nobody's work. */
    private const OPEN = ['me', 'register', 'sign-in', 'demo', 'page'];

    /** Routes for anybody signed in that name no one's project. */
    private const OWN_ONLY = [
        'sign-out',
        'me.update',
        'lengths',
        'projects.index',
        'projects.store',
        'projects.import',
        'projects.reading',
        'find',
        'shapes',
        'forms',
    ];

    public function testEveryRouteIsKnownHere(): void
    {
        foreach (self::routes() as $name => $route) {
            $named = str_contains($route->uri(), '{project}') || str_contains($route->uri(), '{building}');
            self::assertTrue(
                $named || in_array($name, [...self::OPEN, ...self::OWN_ONLY], true),
                "{$route->uri()} is neither open nor somebody's own",
            );
            if ($named) {
                self::assertContains('auth', $route->gatherMiddleware(), $route->uri());
                self::assertNotSame(
                    [],
                    array_filter(
                        $route->gatherMiddleware(),
                        static fn (mixed $m): bool =>
                            is_string($m) && str_contains($m, 'can:') || is_string($m) && str_contains($m, 'Authorize'),
                    ),
                    "{$route->uri()} has no policy",
                );
            }
        }
    }

    public function testAnotherPersonFindsNothing(): void
    {
        $building = $this->buildingOf($this->person());
        $this->actingAs($this->person('Bede Osier'));
        $tried = 0;
        foreach (self::routes() as $route) {
            $uri = self::filled($route, $building);
            if ($uri === null) {
                continue;
            }
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $this->json(
                    $method,
                    $uri,
                    [
                        'client_id' => (string) Str::uuid(), 'base' => 1,
                        'edits' => [['op' => 'set', 'path' => 'name', 'value' => 'Mine']], 'name' => 'Mine',
                        'text' => 'W1',
                    ],
                )->assertNotFound();
                $tried++;
            }
        }
        self::assertGreaterThanOrEqual(12, $tried);
        self::assertSame('Weigh office', $building->refresh()->name);
        $this->getJson('/api/projects')->assertJson(['projects' => []]);
    }

    public function testNobodyFindsTheDoorShut(): void
    {
        $building = $this->buildingOf($this->person());
        $this->postJson('/api/sign-out');
        $this->app->make('auth')->forgetGuards();
        foreach (self::routes() as $name => $route) {
            if (in_array($name, self::OPEN, true)) {
                continue;
            }
            $uri = self::filled($route, $building) ?? '/'.$route->uri();
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $this->json($method, $uri)->assertUnauthorized();
            }
        }
    }

    private static function filled(Route $route, Building $building): ?string
    {
        $uri = '/'
            .str_replace(
                [
                    '{project}', '{building}', '{sheet}', '{part}', '{number}', '{from}', '{to}', '{file}', '{page}', '{reading}', '{side}',
                    '{finish}', '{sha256}', '{kind}',
                ],
                [
                    $building->project_id,
                    $building->id,
                    '1',
                    'main.front.core',
                    '1',
                    '1',
                    '1',
                    'sheets.dxf',
                    '1',
                    Str::lower((string) Str::ulid()),
                    'front',
                    'slate',
                    str_repeat('0a', 32),
                    'sash',
                ],
                $route->uri(),
            );

        return $uri === '/'.$route->uri() ? null : $uri;
    }

    /** @return array<string, Route> by name; the two that answer for everything else left out */
    private static function routes(): array
    {
        $routes = [];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if ($route->uri() !== 'api/{any}') {
                self::assertNotNull($route->getName(), "{$route->uri()} has no name");
                $routes[(string) $route->getName()] = $route;
            }
        }

        return $routes;
    }
}
