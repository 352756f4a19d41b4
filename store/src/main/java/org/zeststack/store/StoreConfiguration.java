package org.zeststack.store;

import org.springframework.context.annotation.ComponentScan;
import org.springframework.context.annotation.Configuration;

/** Brings every store into a Spring application. */
@Configuration(proxyBeanMethods = false)
@ComponentScan
public class StoreConfiguration {}
