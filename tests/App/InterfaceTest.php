<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Core\Calc\Catalogue;
use Lustrum\Http\OpenApi\Description;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

final class InterfaceTest extends ApiTestCase
{
    public function testTheDescriptionIsThatOfTheCode(): void
    {
        $generated = self::service(Description::class)->json();
        self::assertSame(
            $generated, file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json'),
            'Stale: php bin/console lustrum:openapi > docs/openapi.json',
        );
    }

    public function testEveryNumberThatAScreenShowsIsExplained(): void
    {
        $known = array_column($this->json('GET', '/api/explanations'), 'text', 'key');
        self::assertGreaterThan(30, count($known));
        foreach ($known as $key => $text) {
            self::assertTrue(is_string($text) && strlen($text) > 60, (string) $key);
        }
        $operations = array_keys(Catalogue::operations());
        self::assertSame(
            [], array_diff(array_map(strval(...), array_keys($known)), $operations), 'Explains an operation that is not there.',
        );
        // Sisters that share an explanation: checking and working out a formula, the kinds of plans. Each sum of the bench says its own.
        self::assertSame(
            ['formula.check', 'plan.ladder', 'plan.matrix', 'plan.pairs', 'workings.list', 'workings.run'],
            array_values(array_diff($operations, array_keys($known))),
        );
    }

    public function testTheCommandListsItsOperations(): void
    {
        $tester = new CommandTester((new Application(self::bootKernel()))->find('lustrum:calc'));
        $tester->execute(['--list' => true]);
        self::assertStringContainsString('evidence.assess', $tester->getDisplay());
    }

    public function testTheCommandStreams(): void
    {
        $process = proc_open(
            [PHP_BINARY, dirname(__DIR__, 2).'/bin/console', 'lustrum:calc'], [['pipe', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes, null, ['PATH' => (string) getenv('PATH')],
        );
        self::assertIsResource($process);
        fwrite($pipes[0], '{"op":"stats.describe","input":{"values":[1,2,3]}}'."\n");
        self::assertStringContainsString('"mean":2.0', (string) fgets($pipes[1]), 'An answer before the input ends.');
        fwrite($pipes[0], "no json\n\n".'{"op":"stats.describe","input":{"values":[5]}}'."\n");
        fclose($pipes[0]);
        $rest = (string) stream_get_contents($pipes[1]);
        self::assertStringContainsString('"line.invalid"', $rest);
        self::assertStringContainsString('"mean":5.0', $rest);
        self::assertSame(2, proc_close($process));
    }
}
