<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

/** One touch of a named person: a difference bears on nothing of a metric; it stays said, and can be taken back. */
final class UnrelatedTest extends ApiTestCase
{
    private Bench $bench;

    private string $trial = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $this->trial = $this->put(
            'trials', ['revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Pushing', 'plannedRuns' => 4],
        );
        $this->runs('44.0 N', '44.4 N');
        $article = self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/build'), 'articles', 0, 'article');
        $this->json('PUT', '/api/articles/'.$this->bench->unitB, [
            'deviants' => [['kind' => 'part', 'name' => 'Ribbon', 'value' => 'red']],
        ] + (array) $article);
        $this->runs('44.1 N', '44.3 N');
    }

    public function testARibbonSplitsUntilSomebodySaysThatItBearsOnNothing(): void
    {
        $row = $this->row();
        self::assertSame(2, $row['n']);
        self::assertStringContainsString('2 runs of B are not in it', self::text($row, 'sentence'));
        self::assertSame('Ribbon', self::text($row, 'bearing', 'bear', 0, 'name'));
        self::assertSame(2, self::at($this->cell(), 'runs'));
        self::assertCount(2, $this->lines());

        $id = $this->put('unrelated', [
            'revision' => self::text($row, 'bearing', 'bear', 0, 'revision'), 'metric' => 'push force',
            'difference' => self::text($row, 'bearing', 'bear', 0, 'what'),
        ]);
        $row = $this->row();
        self::assertSame(4, $row['n']);
        self::assertStringNotContainsString('Ribbon', self::text($row, 'sentence'));
        self::assertSame([], self::at($row, 'bearing', 'bear'));
        self::assertStringStartsWith(
            'Ribbon of B bears on nothing of push force, says ', self::text($row, 'bearing', 'said', 0, 'sentence'),
        );
        self::assertSame(4, self::at($this->cell(), 'runs'));
        self::assertCount(1, $this->lines());

        $this->json('POST', '/api/unrelated/'.$id.'/withdraw', ['because' => 'It bears on it after all.']);
        self::assertSame([2, []], [$this->row()['n'], self::at($this->row(), 'bearing', 'said')]);
    }

    public function testWhatCannotBeSaidIsRefused(): void
    {
        foreach ([
            ['difference', 'the ribbon', 'push force', 'A difference such as'],
            ['metric', 'part:Ribbon', 'weight of air', 'Nothing called'],
        ] as [$field, $what, $metric, $said]) {
            $this->json('PUT', '/api/unrelated/0190a000-0000-7000-8000-00000000000'.(strlen($field) % 10), [
                'revision' => $this->bench->b, 'difference' => $what, 'metric' => $metric,
            ]);
            self::assertSame(422, $this->answered());
            $refused = json_decode((string) $this->client->getResponse()->getContent(), true);
            self::assertStringStartsWith($said, self::text((array) $refused, 'violations', 0, 'message'));
        }
    }

    /** @return array<array-key, mixed> of the push force on Weigh */
    private function row(): array
    {
        return (array) self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh'), 'comparisons', 0);
    }

    /** @return array<array-key, mixed> evidence of the build in the requirement on it */
    private function cell(): array
    {
        $cells = (array) $this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh')['cells'];

        return (array) array_values(array_filter($cells, fn (mixed $c): bool => self::text((array) $c, 'revision') === $this->bench->b))[0];
    }

    /** @return array<array-key, mixed> one for each state that has a number on Try */
    private function lines(): array
    {
        return (array) self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'results');
    }

    private function runs(string ...$readings): void
    {
        foreach ($readings as $text) {
            $run = $this->put('runs', ['trial' => $this->trial, 'article' => $this->bench->unitB]);
            $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => $text, 'confirmed' => 'in a test']);
            $this->json('PUT', '/api/runs/'.$run, [
                'trial' => $this->trial, 'article' => $this->bench->unitB, 'outcome' => 'held', 'version' => 1,
            ]);
        }
    }
}
