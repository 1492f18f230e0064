<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Building;
use Illuminate\Routing\Route as Defined;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\Group;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Sample;

/**
 * Every route of the API, asked with addresses, queries and bodies as nobody should send them: nothing that is sent ends as a fault of
 * ours.
 */
final class FuzzTest extends ApiTestCase
{
    private const QUICK = 200;

    private const DEEP = 2000;

    private const ODD = [
        '', '0', '1', '-1', '2147483648', '9999999999999999999999999', '1e3', '1.0', 'true', 'null', '[]', '{}', "\u{202e}x",
        'é', '../..', '%00', "a'b", '<b>',
        '5ft', '1:76.2', '1:0', '30mm', 'stale', 'all', 'main.front.core', 'main.front', 'real', 'model', '50',
    ];

    private Randomizer $random;

    #[Group('property')]
    public function testNoRequestEndsAsAFaultOfOurs(): void
    {
        $building = $this->buildingOf($this->person());
        $routes = array_values(array_filter(
            Route::getRoutes()->getRoutes(),
            static fn (Defined $r): bool => str_starts_with($r->uri(), 'api/') && ! in_array(
                $r->getName(),
                ['sign-out', 'demo', 'register', 'sign-in'],
                true,
            ),
        ));
        self::assertGreaterThan(30, count($routes));
        $statuses = [];
        for ($i = 0; $i < (Sample::isDeep() ? self::DEEP : self::QUICK); $i++) {
            $this->random = new Randomizer(new Mt19937($i + 1000 * Sample::seed()));
            $route = $routes[$i % count($routes)];
            $method = array_values(array_diff($route->methods(), ['HEAD', 'OPTIONS']))[0];
            if ($method === 'DELETE') {
                continue;
            }
            $address = '/'.$this->address($route, $building).$this->query();
            $body = $method === 'GET' ? '' : $this->body();
            $headers = ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'];
            $status = $this->call($method, $address, [], [], [], $headers, $body)->getStatusCode();
            self::assertLessThan(500, $status, "$method $address ".substr($body, 0, 400));
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
        }
        // It is no use asking only for what is not there.
        self::assertGreaterThan(5, $statuses[200] ?? 0, (string) json_encode($statuses));
        self::assertGreaterThan(5, $statuses[422] ?? 0, (string) json_encode($statuses));
    }

    private function odd(): string
    {
        return self::ODD[$this->random->getInt(0, count(self::ODD) - 1)];
    }

    private function address(Defined $route, Building $building): string
    {
        $known = ['building' => $building->id, 'project' => $building->project_id, 'part' => 'main.front.core', 'file' => 'cutlist.csv'];

        return (string) preg_replace_callback('/\{(\w+)\??\}/', function (array $m) use ($known): string {
            $isOdd = $this->random->getInt(0, 3) === 0;

            return rawurlencode($isOdd ? $this->odd() : ($known[$m[1]] ?? '1'));
        }, $route->uri());
    }

    private function query(): string
    {
        $pairs = [];
        foreach ([
            'r',
            'size',
            'before',
            'text',
            'world',
            'scale',
            'depth',
            'across',
            'wall',
            'only',
            'at',
            'along',
            'screen',
            'also',
        ] as $key) {
            if ($this->random->getInt(0, 4) === 0) {
                $pairs[] = $key.($this->random->getInt(0, 9) === 0 ? '[]' : '').'='.rawurlencode($this->odd());
            }
        }

        return $pairs === [] ? '' : '?'.implode('&', $pairs);
    }

    /** A body of the right kind with some of its values made odd, or something else altogether. */
    private function body(): string
    {
        $whole = [
            'client_id' => '0b7e3f0e-6d1c-4f7e-9d3a-0f4f2a1c5b6d', 'base' => 1, 'name' => 'x', 'note' => 'y', 'text' => '5ft',
            'scale' => '1:76.2', 'state' => 'cut', 'which' => 'all',
            'units' => 'metric', 'lengths' => [
                ['text' => '5ft', 'world' => 'real'],
            ], 'pieces' => [['part' => 'main.front.core', 'copy' => 0]], 'kept' => true,
            'edits' => [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '10ft']],
        ];
        if ($this->random->getInt(0, 9) === 0) {
            return ['', '[', '[]', '7', '{"a":1e999}', '"x"', '{"edits":{}}', 'null', "\xff\xfe"][$this->random->getInt(0, 8)];
        }
        foreach ($whole as $key => $value) {
            $whole[$key] = $this->random->getInt(0, 3) === 0 ? $this->value($value) : $value;
            if ($this->random->getInt(0, 7) === 0) {
                unset($whole[$key]);
            }
        }
        $whole += $this->random->getInt(0, 3) === 0 ? [
            ['restore', 'undo', 'redo', 'document', 'sheets'][$this->random->getInt(0, 4)] => $this->value(1),
        ] : [];

        return (string) json_encode($whole);
    }

    private function value(mixed $was): mixed
    {
        return [
            null, true, false, 0, -1, 2 ** 31, 10 ** 18, 1.5, '', $this->odd(), $this->odd(), [], (object) [], [$was], [[$was]], (object) ['0' => $was], str_repeat('x', 5000), "a\0b",
            $this->twisted($was), $this->twisted($was),
        ][$this->random->getInt(0, 19)];
    }

    private function twisted(mixed $was): mixed
    {
        if (! is_array($was)) {
            return $was;
        }
        foreach ($was as $key => $inner) {
            $was[$key] = is_array($inner) ? $this->twisted($inner) : ($this->random->getInt(0, 1) === 0 ? $this->odd() : $inner);
        }

        return $was;
    }
}
