<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Account\Role;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/** Walks all routes as somebody who has no business there. */
final class StrangerTest extends ApiTestCase
{
    private const OPEN = ['/api/session', '/api/first-account', '/api/health', '/api/docs', '/api/explanations'];

    /** What everybody may do who is signed in, with what is their own. */
    private const OWN = ['/api/signed-in', '/api/password'];

    public function testNobodyGetsInAnywhere(): void
    {
        $bench = $this->bench();
        $trial = $this->trial($bench, $bench->a, $bench->unitA, [41.0]);
        $sheet = $this->json('GET', '/api/revisions/'.$bench->a.'/try');
        $run = self::text($sheet, 'trials', 0, 'runs', 0, 'id');
        $failure = $this->put('failures', ['revision' => $bench->a, 'mode' => 'Broke']);
        $candidate = $this->put('candidates', ['revision' => $bench->a, 'what' => 'Stronger']);
        $ids = [
            'workspace' => $this->workspace, 'device' => $bench->device, 'revision' => $bench->a, 'trial' => $trial, 'run' => $run,
            'failure' => $failure,
        ];
        $known = [
            'devices' => $bench->device, 'requirements' => $bench->requirement, 'methods' => $bench->method, 'revisions' => $bench->a,
            'articles' => $bench->unitA, 'trials' => $trial, 'runs' => $run, 'failures' => $failure, 'candidates' => $candidate,
            'workspaces' => $this->workspace, 'history' => $bench->device,
        ];
        $this->newWorkspace('Elsewhere', ['stranger@example.test' => Role::Lead]);

        $tried = 0;
        foreach (['signed out' => [401, 403], 'stranger' => [400, 403, 404, 415, 422]] as $who => $refusals) {
            if ($who === 'stranger') {
                $this->signIn('stranger@example.test');
            } else {
                $this->client->getCookieJar()->clear();
                $this->fetchToken();
            }
            foreach (self::service(RouterInterface::class)->getRouteCollection() as $route) {
                $path = $route->getPath();
                if (!str_starts_with($path, '/api') || in_array($path, self::OPEN, true) || ($who === 'stranger' && in_array($path, self::OWN, true))) {
                    continue;
                }
                $kind = explode('/', $path)[2];
                $url = strtr(
                    $path,
                    ['{id}' => $known[$kind] ?? Uuid::v7()->toRfc4122(), '{person}' => Uuid::v7()->toRfc4122(), '{kind}' => 'device'],
                );
                foreach ($route->getMethods() as $method) {
                    $answer = $this->json(
                        $method, $url,
                        $method === 'GET' ? null : $ids + [
                            'name' => 'Mine', 'text' => '5 N', 'what' => 'x', 'mode' => 'x', 'letter' => 'Q',
                            'next' => Uuid::v7()->toRfc4122(), 'serial' => 'x', 'statement' => 'x', 'metric' => 'x', 'kind' => 'check',
                            'channel' => 'push', 'because' => 'x', 'reason' => 'x', 'outcome' => 'held', 'version' => 1,
                            'method' => $bench->method, 'email' => 'x@example.test', 'role' => 'lead',
                        ],
                    );
                    self::assertContains(
                        $this->answered(), $refusals, sprintf('%s %s as %s: %s', $method, $path, $who, json_encode($answer)),
                    );
                    self::assertArrayHasKey('detail', $answer, $method.' '.$path);
                    ++$tried;
                }
            }
        }
        self::assertGreaterThan(70, $tried);
        $this->signIn('lead@example.test');
        $after = $this->json('GET', '/api/revisions/'.$bench->a.'/try');
        self::assertSame($sheet, $after, 'Nothing was changed.');
    }

    public function testAViewerLooksButDoesNotTouch(): void
    {
        $bench = $this->bench();
        $this->signIn('viewer@example.test');
        $this->json('GET', '/api/revisions/'.$bench->a.'/build');
        self::assertSame(200, $this->answered());
        foreach (['changes' => ['what' => 'x', 'revision' => $bench->a], 'runs' => ['trial' => Uuid::v7()->toRfc4122()], 'devices' => ['workspace' => $this->workspace, 'name' => 'x']] as $kind => $body) {
            $this->json('PUT', '/api/'.$kind.'/'.Uuid::v7()->toRfc4122(), $body);
            self::assertContains($this->answered(), [403, 422], $kind);
        }
        $this->json('POST', '/api/workspaces/'.$this->workspace.'/import', ['format' => 'lustrum-device']);
        self::assertSame(403, $this->answered());
    }
}
