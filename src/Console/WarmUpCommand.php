<?php

declare(strict_types=1);

namespace Lustrum\Console;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentPlace;
use Lustrum\Account\Membership;
use Lustrum\Account\Role;
use Lustrum\Account\SignedIn;
use Lustrum\Account\User;
use Lustrum\Account\Workspace;
use Lustrum\Action\Exchange\DeviceFile;
use Lustrum\Action\Exchange\Importer;
use Lustrum\Record\Registry;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Session\Session;
use Symfony\Component\HttpFoundation\Session\Storage\MockArraySessionStorage;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\TerminableInterface;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Authentication\Token\UsernamePasswordToken;
use Symfony\Component\Uid\Uuid;

/**
 * Opens every sheet of a small device that is never kept, and writes down which classes that took: php-fpm loads those once,
 * into its master (deploy/preload.php).
 */
#[AsCommand('lustrum:warm-up', 'Writes down what every sheet loads.')]
final class WarmUpCommand extends Command
{
    private const NOT_OF_A_REQUEST = '/^(Lustrum\\\\Console\\\\|Symfony\\\\Component\\\\Console\\\\|Symfony\\\\Bundle\\\\FrameworkBundle\\\\(Console|Command)\\\\'
        .'|Symfony\\\\Component\\\\Runtime\\\\Runner\\\\Symfony\\\\ConsoleApplicationRunner|Composer\\\\)/';

    public function __construct(
        private readonly HttpKernelInterface $kernel,
        private readonly EntityManagerInterface $em,
        private readonly Connection $db,
        private readonly Importer $importer,
        private readonly Registry $registry,
        private readonly RouterInterface $router,
        private readonly TokenStorageInterface $tokens,
        #[Autowire('%kernel.project_dir%')]
        private readonly string $folder,
        #[Autowire('%kernel.cache_dir%/preload-classes.php')]
        private readonly string $list,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $this->db->beginTransaction();
        try {
            $opened = $this->openAll();
        } finally {
            // Of all this nothing is kept.
            $this->db->rollBack();
        }
        $classes = $this->loaded();
        file_put_contents($this->list, '<?php return '.var_export($classes, true).";\n");
        $output->writeln(sprintf('  %d sheets opened, %d classes loaded beforehand from now on', $opened, count($classes)));

        return $opened > 0 ? self::SUCCESS : self::FAILURE;
    }

    /** @return int how many sheets there were */
    private function openAll(): int
    {
        $workspace = new Workspace('Warming up');
        $user = new User('warm-up@lustrum.invalid', 'Warm-up');
        $user->setPassword('*');
        $place = new SignedIn($user, 'warm-up', new \DateTimeImmutable());
        foreach ([$workspace, $user, new Membership($workspace, $user, Role::Lead), $place] as $one) {
            $this->em->persist($one);
        }
        $this->em->flush();
        $token = new UsernamePasswordToken($user, 'main', $user->getRoles());
        $token->setAttribute(CurrentPlace::ATTRIBUTE, $place->id()->toRfc4122());
        $this->tokens->setToken($token);
        /** @var array<string, mixed> $file */
        $file = json_decode((string) file_get_contents($this->folder.'/demo/rook.json'), true, 64, \JSON_THROW_ON_ERROR);
        $this->importer->importOurs(DeviceFile::of(['photos' => [], 'documents' => []] + $file, $this->importer->kinds()), $workspace);
        $this->em->clear();
        $session = new Session(new MockArraySessionStorage());
        $session->set('_security_main', serialize($token));
        $opened = 0;
        foreach ($this->addresses($workspace) as [$method, $url, $body]) {
            $opened += $this->ask($method, $url, $body, $session) < 300 ? 1 : 0;
        }

        return $opened;
    }

    /** @param array<string, mixed>|null $body */
    private function ask(string $method, string $url, ?array $body, Session $session): int
    {
        $request = Request::create('http://localhost'.$url, $method, [], [$session->getName() => $session->getId()], [], [
            'CONTENT_TYPE' => 'application/json', 'HTTP_ORIGIN' => 'http://localhost', 'HTTP_X_CSRF_TOKEN' => str_repeat('x', 24),
        ], $body === null ? null : json_encode($body, \JSON_THROW_ON_ERROR));
        $request->setSession($session);
        $response = $this->kernel->handle($request);
        ob_start();
        $response->sendContent();
        ob_end_clean();
        if ($this->kernel instanceof TerminableInterface) {
            $this->kernel->terminate($request, $response);
        }
        $this->em->clear();

        return $response->getStatusCode();
    }

    /** @return iterable<array{string, string, array<string, mixed>|null}> every sheet of it, and a write */
    private function addresses(Workspace $workspace): iterable
    {
        $records = [];
        foreach ($this->registry->kinds() as $kind) {
            $found = $this->em->getRepository($kind->class)->findOneBy(['workspace' => $workspace->id()]);
            $records[$kind->plural] = $found?->id()->toRfc4122();
        }
        foreach ($this->router->getRouteCollection() as $route) {
            $plural = explode('/', $route->getPath())[2];
            $id = $records[$plural] ?? $workspace->id()->toRfc4122();
            if ($route->getMethods() === ['GET']) {
                yield ['GET', strtr($route->getPath(), ['{id}' => $id, '{kind}' => 'device']), null];
            }
        }
        yield ['PUT', '/api/observations/'.Uuid::v7()->toRfc4122(), ['revision' => $records['revisions'], 'text' => 'Warm']];
    }

    /** @return list<class-string> */
    private function loaded(): array
    {
        $out = [];
        foreach ([...get_declared_classes(), ...get_declared_interfaces(), ...get_declared_traits()] as $class) {
            $file = (new \ReflectionClass($class))->getFileName();
            if ($file !== false && preg_match(self::NOT_OF_A_REQUEST, $class) !== 1 && !str_contains($class, '@anonymous')
                && preg_match('#/(src|core|vendor)/#', $file) === 1) {
                $out[] = $class;
            }
        }

        return $out;
    }
}
