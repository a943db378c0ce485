<?php

declare(strict_types=1);

namespace Lustrum;

use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    /** The code may lie where the application must not write: its cache has a place of its own. */
    public function getCacheDir(): string
    {
        $place = $_SERVER['LUSTRUM_CACHE'] ?? null;

        return (is_string($place) ? $place : $this->getProjectDir().'/var/cache').'/'.$this->environment;
    }
}
