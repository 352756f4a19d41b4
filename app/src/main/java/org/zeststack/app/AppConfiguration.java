package org.zeststack.app;

import org.springframework.context.annotation.ComponentScan;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Import;
import org.zeststack.store.StoreConfiguration;

/** Brings every use case, and the stores below them, into a Spring application. */
@Configuration(proxyBeanMethods = false)
@ComponentScan
@Import(StoreConfiguration.class)
public class AppConfiguration {}
