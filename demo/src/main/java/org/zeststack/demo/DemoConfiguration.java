package org.zeststack.demo;

import org.springframework.context.annotation.ComponentScan;
import org.springframework.context.annotation.Configuration;

/** Brings the invented workshop into a Spring application; it is only loaded where that is asked for. */
@Configuration(proxyBeanMethods = false)
@ComponentScan
public class DemoConfiguration {}
