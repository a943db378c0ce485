<?php

declare(strict_types=1);

use Symfony\Component\DependencyInjection\Dumper\Preloader;

/*
 * Loads classes into php-fpm once, when it starts: what the container names, and what a warm-up over every sheet loaded
 * (lustrum:warm-up), of the libraries too, which the container does not know of because they make it themselves.
 */
$cache = getenv('LUSTRUM_CACHE').'/prod';
require $cache.'/Lustrum_KernelProdContainer.preload.php';
if (is_file($cache.'/preload-classes.php')) {
    Preloader::preload(require $cache.'/preload-classes.php');
}
