<?php

declare(strict_types=1);

namespace Lustrum;

use Lustrum\Http\Door\DeclaredRoutes;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\Compiler\CompilerPassInterface;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel implements CompilerPassInterface
{
    use MicroKernelTrait;

    /** Routes are read with what each of them needs. */
    public function process(ContainerBuilder $container): void
    {
        $container->getDefinition('routing.loader.attribute')->setClass(DeclaredRoutes::class);
    }

    /** The code may lie where the application must not write: its cache has a place of its own. */
    public function getCacheDir(): string
    {
        $place = $_SERVER['LUSTRUM_CACHE'] ?? null;

        return (is_string($place) ? $place : $this->getProjectDir().'/var/cache').'/'.$this->environment;
    }
}
