<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use Lustrum\Account\CurrentPlace;
use Lustrum\Account\MemberInput;
use Lustrum\Account\Role;
use Lustrum\Account\SignedIn;
use Lustrum\Account\User;
use Lustrum\Account\Workspace;
use Lustrum\Action\People\Members;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Uid\Uuid;

/** A workspace with a lead, and the means to speak to the application over HTTP as somebody. */
abstract class ApiTestCase extends WebTestCase
{
    protected const PASSWORD = 'a long enough word';

    protected KernelBrowser $client;

    protected string $workspace = '';

    private string $token = '';

    /** Where requests of our own page come from. */
    protected const ORIGIN = ['HTTP_ORIGIN' => 'http://localhost'];

    protected function setUp(): void
    {
        $this->client = self::createClient();
        $this->client->disableReboot();
        $this->workspace = $this->newWorkspace(
            'Workshop', ['lead@example.test' => Role::Lead, 'member@example.test' => Role::Member, 'viewer@example.test' => Role::Viewer],
        );
        $this->signIn('lead@example.test');
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    protected static function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }

    /** @param array<string, Role> $people */
    protected function newWorkspace(string $name, array $people): string
    {
        // A refused write closes the unit of work that it was made in.
        self::service(ManagerRegistry::class)->resetManager();
        $em = self::service(EntityManagerInterface::class);
        $workspace = new Workspace($name);
        $em->persist($workspace);
        foreach ($people as $email => $role) {
            $em->flush();
            self::service(Members::class)->letIn(
                $workspace, new MemberInput(ucfirst(strstr($email, '@', true) ?: $email), $email, $role, self::PASSWORD),
            );
        }
        $em->flush();

        return $workspace->id()->toRfc4122();
    }

    protected function signIn(string $email): void
    {
        self::service(ManagerRegistry::class)->resetManager();
        $em = self::service(EntityManagerInterface::class);
        $user = $em->getRepository(User::class)->findOneBy(['email' => $email]);
        self::assertNotNull($user);
        $place = new SignedIn($user, 'a test', new \DateTimeImmutable());
        $em->persist($place);
        $em->flush();
        $this->client->loginUser($user, 'main', [CurrentPlace::ATTRIBUTE => $place->id()->toRfc4122()]);
        $this->fetchToken();
    }

    protected function fetchToken(): void
    {
        $this->useToken(self::text($this->json('GET', '/api/session'), 'token'));
    }

    protected function useToken(string $token): void
    {
        $this->token = $token;
    }

    /**
     * Sends and returns the decoded answer; its status is in status().
     *
     * @param array<array-key, mixed>|null $body
     *
     * @return array<array-key, mixed>
     */
    protected function json(string $method, string $url, ?array $body = null): array
    {
        return $this->raw($method, $url, $body === null ? null : json_encode($body, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    /**
     * @param array<string, string> $headers as the server names them
     *
     * @return array<array-key, mixed>
     */
    protected function raw(string $method, string $url, ?string $body, array $headers = []): array
    {
        $this->client->request(
            $method, $url, [], [],
            $headers + ['CONTENT_TYPE' => 'application/json', 'HTTP_X_CSRF_TOKEN' => $this->token] + self::ORIGIN, $body,
        );
        self::service(EntityManagerInterface::class)->clear();
        $decoded = json_decode((string) $this->client->getResponse()->getContent(), true);

        return is_array($decoded) ? $decoded : [];
    }

    /**
     * @param array<string, string> $fields
     *
     * @return array<array-key, mixed>
     */
    protected function upload(string $url, string $file, array $fields, string $name = 'photo.jpg'): array
    {
        $copy = (string) tempnam(sys_get_temp_dir(), 'up');
        copy($file, $copy);
        $this->client->request(
            'POST', $url, $fields, ['file' => new UploadedFile($copy, $name, null, null, true)],
            ['HTTP_X_CSRF_TOKEN' => $this->token, 'CONTENT_TYPE' => 'multipart/form-data; boundary=x'] + self::ORIGIN,
        );
        $decoded = json_decode((string) $this->client->getResponse()->getContent(), true);

        return is_array($decoded) ? $decoded : [];
    }

    /**
     * A file of a build.
     *
     * @param array<string, string> $fields
     */
    protected function document(string $revision, string $content = "0\nSECTION\n", string $name = 'bracket.dxf', array $fields = []): string
    {
        $id = Uuid::v7()->toRfc4122();
        $answer = $this->sendDocument($id, $revision, $content, $name, $fields);
        self::assertSame(201, $this->answered(), json_encode($answer) ?: '');

        return $id;
    }

    /**
     * @param array<string, string> $fields
     *
     * @return array<array-key, mixed>
     */
    protected function sendDocument(string $id, string $revision, string $content, string $name, array $fields = []): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'doc');
        file_put_contents($file, $content);

        return $this->upload('/api/documents/'.$id, $file, ['revision' => $revision] + $fields, $name);
    }

    /**
     * Puts a new record and expects that it is kept.
     *
     * @param array<string, mixed> $body
     */
    protected function put(string $kind, array $body): string
    {
        $id = Uuid::v7()->toRfc4122();
        $answer = $this->json('PUT', '/api/'.$kind.'/'.$id, $body);
        self::assertSame(201, $this->answered(), $kind.': '.json_encode($answer));

        return $id;
    }

    protected function answered(): int
    {
        return $this->client->getResponse()->getStatusCode();
    }

    /** @param array<array-key, mixed> $from */
    protected static function text(array $from, string|int ...$path): string
    {
        $at = self::at($from, ...$path);

        return is_scalar($at) ? (string) $at : (json_encode($at) ?: '');
    }

    /** @param array<array-key, mixed> $from */
    protected static function at(array $from, string|int ...$path): mixed
    {
        $at = $from;
        foreach ($path as $step) {
            $at = is_array($at) ? $at[$step] ?? null : null;
        }

        return $at;
    }

    /** A device with a requirement, a method and two builds with a unit each. */
    protected function bench(): Bench
    {
        $device = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Wagtail', 'currency' => 'EUR', 'costLimit' => 50.0]);
        $requirement = $this->put(
            'requirements',
            [
                'device' => $device, 'statement' => 'Light to push', 'metric' => 'push force', 'unit' => 'N', 'limit' => 45.0,
                'direction' => 'atMost',
            ],
        );
        $method = $this->put(
            'methods',
            [
                'device' => $device, 'name' => 'Push',
                'channels' => [
                    [
                        'key' => 'push', 'metric' => 'push force', 'unit' => 'N', 'instrument' => 'Cell', 'resolution' => 0.1, 'low' => 5,
                        'high' => 200, 'whenStopped' => 'atLeast',
                    ],
                ],
                'conditions' => [['name' => 'soil', 'states' => ['dry', 'moist']], ['name' => 'moisture', 'unit' => '%']],
                'safety' => ['abort' => 'When it hurts.'],
            ],
        );
        $a = $this->put('revisions', ['device' => $device, 'letter' => 'A']);
        $b = $this->put('revisions', ['device' => $device, 'letter' => 'B', 'parent' => $a]);
        $unitA = $this->put('articles', ['revision' => $a, 'serial' => 'U-1', 'lots' => ['sheet: P-1']]);
        $unitB = $this->put('articles', ['revision' => $b, 'serial' => 'U-2', 'lots' => ['sheet: P-2']]);

        return new Bench($device, $requirement, $method, $a, $b, $unitA, $unitB);
    }

    /**
     * A trial with finished runs that read these forces.
     *
     * @param list<float> $forces
     */
    protected function trial(Bench $bench, string $revision, string $unit, array $forces): string
    {
        $trial = $this->put(
            'trials', ['revision' => $revision, 'method' => $bench->method, 'name' => 'Pushing', 'plannedRuns' => max(1, count($forces))],
        );
        foreach ($forces as $force) {
            $run = $this->put('runs', ['trial' => $trial, 'article' => $unit]);
            $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => sprintf('%.1f N', $force), 'confirmed' => 'in a test']);
            $this->json('PUT', '/api/runs/'.$run, ['trial' => $trial, 'article' => $unit, 'outcome' => 'held', 'version' => 1]);
            self::assertSame(200, $this->answered());
        }

        return $trial;
    }

    /** What the workers do, as they do it: everything that waits in both lines, once. */
    protected function letWorkersWork(): void
    {
        self::assertNotNull(self::$kernel);
        $command = (new Application(self::$kernel))->find('messenger:consume');
        while ($this->inLine() > 0) {
            (new CommandTester($command))->execute(
                ['receivers' => ['pictures', 'recordings'], '--limit' => $this->inLine(), '--time-limit' => 60],
            );
        }
        self::service(EntityManagerInterface::class)->clear();
    }

    protected function inLine(): int
    {
        $n = self::service(Connection::class)->fetchOne('SELECT count(*) FROM messenger_messages');

        return is_numeric($n) ? (int) $n : -1;
    }

    /**
     * Sends a picture and lets it be prepared.
     *
     * @param array<string, string> $fields
     *
     * @return array<array-key, mixed> as it was answered at once
     */
    protected function sendPicture(string $url, string $file, array $fields, string $name = 'photo.jpg'): array
    {
        $answer = $this->upload($url, $file, $fields, $name);
        self::assertContains($this->answered(), [200, 201, 202], json_encode($answer) ?: '');
        $this->letWorkersWork();

        return $answer;
    }
}
