<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Domain\Trial\ReadingInput;
use Lustrum\Domain\Trial\RunInput;
use Lustrum\Record\Evident;
use Lustrum\Record\Inputs;
use Lustrum\Record\Registry;
use Lustrum\Shared\Limit;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/** What is taken without the validator is what the validator would have taken. */
final class EvidentTest extends KernelTestCase
{
    private const ID = '01a21a94-b40f-7607-bd18-2b8c3cfb91a5';

    private Randomizer $random;

    /** @return iterable<string, array{class-string}> */
    public static function inputs(): iterable
    {
        self::bootKernel();
        foreach (self::get(Registry::class)->kinds() as $kind) {
            yield $kind->plural => [$kind->input];
        }
        self::ensureKernelShutdown();
    }

    /** @param class-string $class */
    #[DataProvider('inputs')]
    public function testWhatIsSoundHereIsSoundThere(string $class): void
    {
        self::bootKernel();
        $this->random = new Randomizer(new Xoshiro256StarStar(23));
        [$evident, $validator] = [self::get(Evident::class), self::get(ValidatorInterface::class)];
        $sound = $wrong = 0;
        for ($i = 0; $i < 400; ++$i) {
            $input = $this->made($class, $i % 2 === 0 ? 0.02 : 0.15);
            if ($input === null) {
                continue;
            }
            $found = count($validator->validate($input));
            if ($evident->isSound($input)) {
                ++$sound;
                self::assertSame(0, $found, var_export($input, true));
            }
            $wrong += $found > 0 ? 1 : 0;
        }
        self::assertGreaterThan(0, $sound + $wrong, 'Something was tried.');
    }

    public function testAReadingOfAFileNeedsNoValidator(): void
    {
        self::bootKernel();
        [$inputs, $evident] = [self::get(Inputs::class), self::get(Evident::class)];
        $reading = $inputs->read(ReadingInput::class, ['run' => self::ID, 'channel' => 'pull', 'text' => '41.2 N', 'unit' => 'N']);
        self::assertTrue($evident->isSound($reading));
        $run = $inputs->read(RunInput::class, [
            'trial' => self::ID, 'article' => self::ID, 'levels' => [['name' => 'soil', 'value' => 'wet']], 'outcome' => 'held',
        ]);
        self::assertTrue($evident->isSound($run));
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    private static function get(string $class): object
    {
        $service = self::getContainer()->get($class);

        return $service instanceof $class ? $service : throw new \LogicException($class);
    }

    /**
     * @param class-string $class
     * @param float        $odd   share of values that are out of the way
     */
    private function made(string $class, float $odd): ?object
    {
        $arguments = [];
        foreach ((new \ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $arguments[] = $this->value($parameter, $odd);
        }
        try {
            return new $class(...$arguments);
        } catch (\TypeError) {
            return null;
        }
    }

    private function value(\ReflectionParameter $parameter, float $odd): mixed
    {
        $type = $parameter->getType();
        $name = $type instanceof \ReflectionNamedType ? $type->getName() : 'string';
        $isOdd = $this->random->getInt(1, 1000) <= 1000 * $odd;
        if (!$isOdd && $parameter->isDefaultValueAvailable() && $this->random->getInt(0, 1) === 0) {
            return $parameter->getDefaultValue();
        }
        if ($isOdd && ($type?->allowsNull() ?? true)) {
            return null;
        }

        return match (true) {
            $name === 'string' => $this->one($isOdd
                ? ['', ' ', "\xff", str_repeat('é', 40), str_repeat('é', 41), str_repeat('x', Limit::NAME + 1), str_repeat('x', Limit::NOTE + 1), self::ID.' ', 'furlongs']
                : [self::ID, self::ID, 'N', 'A name', str_repeat('é', Limit::NAME)]),
            $name === 'int' => $this->one($isOdd ? [-1, 0, Limit::WHOLE, Limit::WHOLE + 1] : [1, 3, 60]),
            $name === 'float' => $this->one($isOdd ? [-1.0, 0.0, 1e13, \NAN, \INF] : [0.5, 1.0, 40.0]),
            $name === 'bool' => $isOdd,
            $name === 'array' => $this->one($isOdd ? [['x' => 1], [null], [str_repeat('x', Limit::LINE + 1)], array_fill(0, Limit::LIST + 1, 'x'), [1, 2]] : [[], ['a', 'b']]),
            enum_exists($name) => $name::cases()[0],
            class_exists($name) => $this->made($name, $odd),
            default => null,
        };
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $values
     *
     * @return T
     */
    private function one(array $values): mixed
    {
        return $values[$this->random->getInt(0, count($values) - 1)];
    }
}
