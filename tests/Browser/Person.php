<?php

declare(strict_types=1);

namespace Tests\Browser;

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Exception\TransferException;
use Illuminate\Support\Str;
use PHPUnit\Framework\Assert;

/** Somebody who talks to the server without an interface. */
final readonly class Person
{
    private Client $client;

    private CookieJar $jar;

    public string $email;

    /** @param  ?string  $name  null to be in the demo */
    private function __construct(?string $name)
    {
        $this->jar = new CookieJar;
        $this->client = new Client(['base_uri' => Served::address(), 'cookies' => $this->jar, 'timeout' => 10, 'http_errors' => false]);
        $this->done('GET', 'me');
        $own = strtolower((string) $name).'-'.bin2hex(random_bytes(6)).'@marrowmere.example';
        $name === null
            ? $this->done('POST', 'demo')
            : $this->done('POST', 'register', ['name' => $name, 'email' => $own, 'password' => 'a long password']);
        $user = $this->done('GET', 'me')['user'];
        Assert::assertIsArray($user);
        Assert::assertIsString($user['email']);
        $this->email = $user['email'];
    }

    public static function registered(string $name): self
    {
        return new self($name);
    }

    public static function inTheDemo(): self
    {
        return new self(null);
    }

    /**
     * A project with one building in it.
     *
     * @param  ?string  $document  its text; null for the one that everybody begins with
     * @return string the building's id
     */
    public function begin(string $project, ?string $document = null): string
    {
        $made = $this->done('POST', 'projects', ['name' => $project])['project'];
        Assert::assertIsArray($made);
        Assert::assertIsString($made['id']);
        $data = ['client_id' => self::uuid()] + ($document === null ? ['name' => 'New building'] : ['document' => $document]);
        $building = $this->done('POST', "projects/{$made['id']}/buildings", $data)['id'];
        Assert::assertIsString($building);

        return $building;
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array{int, array<array-key, mixed>} status, 0 for none, and answer
     */
    public function call(string $method, string $path, array $data = []): array
    {
        $token = $this->jar->getCookieByName('XSRF-TOKEN')?->getValue() ?? '';
        try {
            $answer = $this->client->request(
                $method,
                "/api/$path",
                ['json' => $data, 'headers' => ['Accept' => 'application/json', 'X-XSRF-TOKEN' => urldecode($token)]],
            );
        } catch (TransferException) {
            return [0, []];
        }
        $body = json_decode((string) $answer->getBody(), true);

        return [$answer->getStatusCode(), is_array($body) ? $body : []];
    }

    /** @return array<string, string> what a browser needs to be this person */
    public function cookies(): array
    {
        $cookies = [];
        foreach ($this->jar->toArray() as $cookie) {
            if (is_array($cookie) && is_string($cookie['Name'] ?? null) && is_string($cookie['Value'] ?? null)) {
                $cookies[$cookie['Name']] = $cookie['Value'];
            }
        }

        return $cookies;
    }

    /** A client's own id for something that is sent. */
    public static function uuid(): string
    {
        return (string) Str::uuid();
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<array-key, mixed>
     */
    private function done(string $method, string $path, array $data = []): array
    {
        [$status, $answer] = $this->call($method, $path, $data);
        Assert::assertTrue($status >= 200 && $status < 300, "$method $path: $status ".json_encode($answer));

        return $answer;
    }
}
